// What a sound file's own header promises, read without the library that wrote it.

#include <algorithm>
#include <cstring>

#include "core/audio/sound_file.h"

namespace isotonus {

namespace {

/// Bytes of a file by their place.
class Bytes {
  public:
    explicit Bytes(std::shared_ptr<PooledFile> file) : file_(std::move(file)) {}
    int64_t count() const { return file_->bytes(); }
    /// Exactly these bytes; fewer at the end of the file.
    std::string at(int64_t offset, int64_t count) const {
        std::string bytes(static_cast<size_t>(std::clamp<int64_t>(this->count() - offset, 0, count)), '\0');
        int problem = 0;
        bytes.resize(
            static_cast<size_t>(file_->read(offset, bytes.data(), static_cast<int64_t>(bytes.size()), &problem)));
        return bytes;
    }
    std::string tag(int64_t offset) const { return at(offset, 4); }
    uint64_t little(int64_t offset, int bytes) const {
        const std::string b = at(offset, bytes);
        uint64_t value = 0;
        for (size_t i = b.size(); i-- > 0;) value = value << 8 | static_cast<unsigned char>(b[i]);
        return value;
    }
    uint64_t big(int64_t offset, int bytes) const {
        uint64_t value = 0;
        for (const char c : at(offset, bytes)) value = value << 8 | static_cast<unsigned char>(c);
        return value;
    }

  private:
    std::shared_ptr<PooledFile> file_;
};

using Found = Result<std::optional<int64_t>>;

Found wave_frames(const Bytes& in, const std::string& name) {
    const bool long_sizes = in.tag(0) == "RF64";
    if ((!long_sizes && in.tag(0) != "RIFF") || in.tag(8) != "WAVE")
        return fail(name, translated("not a WAV file, or damaged at its start. Export it again as WAV."));
    const auto total = static_cast<uint64_t>(in.count());
    uint64_t whole = in.little(4, 4) + 8, long_data = 0, frame_bytes = 0;
    for (int64_t at = 12; at + 8 <= in.count();) {
        const std::string id = in.tag(at);
        uint64_t size = in.little(at + 4, 4);
        if (id == "ds64" && long_sizes) whole = in.little(at + 8, 8) + 8, long_data = in.little(at + 16, 8);
        if (id == "fmt ") frame_bytes = in.little(at + 20, 2);
        if (id == "data") {
            if (long_sizes && size == 0xFFFFFFFF) size = long_data;
            if (whole != total)
                return fail(name,
                            translate("the header announces {} bytes, the file has {}. Copy or export the file again.",
                                      whole, total));
            if (frame_bytes == 0 || size % frame_bytes != 0 || static_cast<uint64_t>(at) + 8 + size > total)
                return fail(name, translated("the header gives a wrong length of the audio. Export the file again."));
            return static_cast<int64_t>(size / frame_bytes);
        }
        at += 8 + static_cast<int64_t>(std::min<uint64_t>(size + size % 2, total));
    }
    return fail(name, translated("the file has no samples. Export it again."));
}

Found aiff_frames(const Bytes& in, const std::string& name) {
    const auto total = static_cast<uint64_t>(in.count());
    if (in.tag(0) != "FORM" || (in.tag(8) != "AIFF" && in.tag(8) != "AIFC"))
        return fail(name, translated("not an AIFF file, or damaged at its start. Export it again."));
    if (in.big(4, 4) + 8 != total)
        return fail(name, translate("the header announces {} bytes, the file has {}. Copy or export the file again.",
                                    in.big(4, 4) + 8, total));
    uint64_t frames = 0, frame_bytes = 0;
    for (int64_t at = 12; at + 8 <= in.count();) {
        const uint64_t size = in.big(at + 4, 4);
        if (in.tag(at) == "COMM") {
            frames = in.big(at + 10, 4);
            frame_bytes = in.big(at + 8, 2) * ((in.big(at + 14, 2) + 7) / 8);
        }
        if (in.tag(at) == "SSND") {
            if (size != frames * frame_bytes + 8 || static_cast<uint64_t>(at) + 8 + size > total)
                return fail(name, translated("the header gives a wrong length of the audio. Export the file again."));
            return static_cast<int64_t>(frames);
        }
        at += 8 + static_cast<int64_t>(std::min<uint64_t>(size + size % 2, total));
    }
    return fail(name, translated("the file has no samples. Export it again."));
}

Found flac_frames(const Bytes& in, const std::string& name) {
    if (in.tag(0) != "fLaC" || (in.big(4, 1) & 0x7F) != 0)
        return fail(name, translated("not a FLAC file, or damaged at its start. Export it again."));
    const uint64_t frames = in.big(8 + 13, 5) & 0xFFFFFFFFFULL;
    if (frames == 0) return fail(name, translated("the header gives no length. Export the file again."));
    return static_cast<int64_t>(frames);
}

/// The last page of an Ogg stream has the flag that ends it.
Found ogg_end(const Bytes& in, const std::string& name) {
    if (in.tag(0) != "OggS")
        return fail(name, translated("not an Ogg file, or damaged at its start. Export it again."));
    const int64_t reach = std::min<int64_t>(in.count(), 65536 + 4096);
    const std::string end = in.at(in.count() - reach, reach);
    const size_t page = end.rfind("OggS");
    if (page == std::string::npos || page + 27 > end.size() || !(end[page + 5] & 4))
        return fail(name, translated("the end of the file is missing. Copy or export it again."));
    const size_t segments = static_cast<unsigned char>(end[page + 26]);
    size_t size = 27 + segments;
    for (size_t i = page + 27; i < std::min(page + 27 + segments, end.size()); ++i)
        size += static_cast<unsigned char>(end[i]);
    if (page + size != end.size())
        return fail(name, translated("the last page of the file is incomplete. Copy or export it again."));
    return std::nullopt;
}

Found mpeg_start(const Bytes& in, const std::string& name) {
    const std::string start = in.at(0, 3);
    const bool frame = start.size() == 3 && start[0] == '\xFF' && (start[1] & '\xE0') == '\xE0';
    if (!frame && start != "ID3")
        return fail(name, translated("not an MP3 file, or damaged at its start. Export it again."));
    return std::nullopt;
}

}  // namespace

Found frames_by_header(const fs::path& file, FileType type) {
    auto opened = PooledFile::open(file);
    if (!opened) return tl::unexpected(opened.error());
    const Bytes in(*opened);
    const std::string name = file.string();
    switch (type) {
        case FileType::wav:
            return wave_frames(in, name);
        case FileType::aiff:
            return aiff_frames(in, name);
        case FileType::flac:
            return flac_frames(in, name);
        case FileType::ogg:
        case FileType::opus:
            return ogg_end(in, name);
        case FileType::mp3:
            break;
    }
    return mpeg_start(in, name);
}

}  // namespace isotonus
