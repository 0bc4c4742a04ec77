#include "core/audio/sound_file.h"

#include <fmt/format.h>
#include <sndfile.h>

#include <algorithm>
#include <array>
#include <cmath>
#include <cstring>
#include <set>

#include "core/audio/kernels.h"

namespace isotonus {

namespace {

std::string format_in_words(int format) {
    SF_FORMAT_INFO major{format & SF_FORMAT_TYPEMASK, nullptr, nullptr};
    SF_FORMAT_INFO sub{format & SF_FORMAT_SUBMASK, nullptr, nullptr};
    std::string words;
    if (sf_command(nullptr, SFC_GET_FORMAT_INFO, &major, sizeof major) == 0 && major.name) words = major.name;
    if (sf_command(nullptr, SFC_GET_FORMAT_INFO, &sub, sizeof sub) == 0 && sub.name)
        words += std::string(", ") + sub.name;
    return words;
}

int bits_of(int subtype) {
    switch (subtype) {
        case SF_FORMAT_PCM_S8:
        case SF_FORMAT_PCM_U8:
            return 8;
        case SF_FORMAT_PCM_16:
        case SF_FORMAT_ALAC_16:
            return 16;
        case SF_FORMAT_PCM_24:
        case SF_FORMAT_ALAC_24:
            return 24;
        case SF_FORMAT_PCM_32:
        case SF_FORMAT_ALAC_32:
        case SF_FORMAT_FLOAT:
            return 32;
        case SF_FORMAT_DOUBLE:
            return 64;
        default:
            return 0;
    }
}

bool is_uncompressed(int format) {
    const int major = format & SF_FORMAT_TYPEMASK;
    if (major == SF_FORMAT_FLAC || major == SF_FORMAT_OGG || major == SF_FORMAT_MPEG) return false;
    switch (format & SF_FORMAT_SUBMASK) {
        case SF_FORMAT_PCM_S8:
        case SF_FORMAT_PCM_U8:
        case SF_FORMAT_PCM_16:
        case SF_FORMAT_PCM_24:
        case SF_FORMAT_PCM_32:
        case SF_FORMAT_FLOAT:
        case SF_FORMAT_DOUBLE:
            return true;
        default:
            return false;
    }
}

/// libsndfile's log notes a data chunk that promises more bytes than the file holds: "data : 96000 (should be 512)".
bool log_says_truncated(SNDFILE* file) {
    std::array<char, 8192> log{};
    sf_command(file, SFC_GET_LOG_INFO, log.data(), static_cast<int>(log.size() - 1));
    const std::string_view text(log.data());
    for (const char* chunk : {"data : ", "SSND : ", "ds64 : "}) {
        const size_t at = text.find(chunk);
        if (at == std::string_view::npos) continue;
        const std::string_view line = text.substr(at, text.find('\n', at) - at);
        if (line.find("should be") != std::string_view::npos) return true;
    }
    return false;
}

}  // namespace

bool has_audio_extension(const fs::path& file) {
    static const std::set<std::string> known{".wav", ".wave", ".rf64", ".w64", ".aif", ".aiff", ".aifc", ".flac",
                                             ".ogg", ".oga",  ".opus", ".mp3", ".caf", ".au",   ".snd"};
    std::string extension = file.extension().string();
    std::transform(extension.begin(), extension.end(), extension.begin(),
                   [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return known.contains(extension);
}

Result<std::vector<fs::path>> audio_files_in(const fs::path& folder) {
    auto entries = entries_of(folder);
    if (!entries) return tl::unexpected(entries.error());
    std::error_code problem;
    std::erase_if(*entries, [&](const fs::path& entry) {
        return !has_audio_extension(entry) || !fs::is_regular_file(entry, problem);
    });
    return entries;
}

// --- reading --------------------------------------------------------------------------------------------------------

struct SoundReader::Cursor {
    std::shared_ptr<PooledFile> file;
    int64_t at = 0;
    int problem = 0;
};

namespace {

int64_t sought(int64_t at, int64_t bytes, sf_count_t offset, int whence) {
    if (whence == SEEK_SET) return offset;
    if (whence == SEEK_CUR) return at + offset;
    return bytes + offset;
}

}  // namespace

void SoundReader::Close::operator()(SNDFILE* file) const { sf_close(file); }

Result<SoundReader> SoundReader::open(const fs::path& file) {
    const std::string name = file.string();
    auto opened = PooledFile::open(file);
    if (!opened) return tl::unexpected(opened.error());
    if ((*opened)->bytes() == 0) return fail(name, translated("the file is empty. Export it again."));

    SoundReader reader;
    reader.name_ = name;
    reader.cursor_ = std::make_shared<Cursor>(Cursor{*opened, 0, 0});
    SF_VIRTUAL_IO io{[](void* p) -> sf_count_t { return static_cast<Cursor*>(p)->file->bytes(); },
                     [](sf_count_t offset, int whence, void* p) -> sf_count_t {
                         auto* const cursor = static_cast<Cursor*>(p);
                         return cursor->at = sought(cursor->at, cursor->file->bytes(), offset, whence);
                     },
                     [](void* to, sf_count_t count, void* p) -> sf_count_t {
                         auto* const cursor = static_cast<Cursor*>(p);
                         int fault = 0;
                         const int64_t got = cursor->file->read(cursor->at, to, count, &fault);
                         if (fault && !cursor->problem) cursor->problem = fault;
                         cursor->at += got;
                         return got;
                     },
                     [](const void*, sf_count_t, void*) -> sf_count_t { return 0; },
                     [](void* p) -> sf_count_t { return static_cast<Cursor*>(p)->at; }};
    SF_INFO info{};
    reader.file_.reset(sf_open_virtual(&io, SFM_READ, &info, reader.cursor_.get()));
    if (reader.cursor_->problem)
        return fail(name,
                    translate("the file cannot be read: {}. Check the disk.", std::strerror(reader.cursor_->problem)));
    if (!reader.file_) {
        std::string why = sf_strerror(nullptr);
        while (!why.empty() && (why.back() == '.' || why.back() == '\n')) why.pop_back();
        return fail(name, translate("the audio file cannot be read ({}). Export it again as WAV, AIFF or FLAC.", why));
    }
    if (info.channels > max_channels)
        return fail(name, translate("the file has {} channels; at most {} can be used. Export fewer channels.",
                                    info.channels, max_channels));
    if (info.frames <= 0) return fail(name, translated("the file has no audio. Export it again."));
    if (info.samplerate < 1000 || info.samplerate > 768000)
        return fail(name, translate("a sample rate of {} Hz cannot be used. Export the file at 44.1, 48 or 96 kHz.",
                                    info.samplerate));

    SoundInfo& out = reader.info_;
    out.channels = info.channels;
    out.sample_rate = info.samplerate;
    out.frames = info.frames;
    const int subtype = info.format & SF_FORMAT_SUBMASK;
    out.bits = bits_of(subtype);
    out.floating = subtype == SF_FORMAT_FLOAT || subtype == SF_FORMAT_DOUBLE;
    out.random_access = is_uncompressed(info.format) && info.seekable;
    out.format = format_in_words(info.format);
    if (log_says_truncated(reader.file_.get()))
        out.warning = "the file ends early: its header promises more samples than it holds; what is there is used";

    const bool swapped = sf_command(reader.file_.get(), SFC_RAW_DATA_NEEDS_ENDSWAP, nullptr, 0) == SF_TRUE;
    if (out.random_access && !swapped) {
        if (subtype == SF_FORMAT_PCM_16) reader.packing_ = Packing::s16;
        if (subtype == SF_FORMAT_PCM_24) reader.packing_ = Packing::s24;
        if (subtype == SF_FORMAT_FLOAT) reader.packing_ = Packing::f32;
    }
    return reader;
}

std::vector<Marker> SoundReader::markers() const {
    uint32_t count = 0;
    if (sf_command(file_.get(), SFC_GET_CUE_COUNT, &count, sizeof count) != SF_TRUE || count == 0) return {};
    // SF_CUES holds 100 cue points; SF_CUES_VAR (count) any number of them.
    std::vector<char> room(sizeof(uint32_t) + count * sizeof(SF_CUE_POINT));
    if (sf_command(file_.get(), SFC_GET_CUE, room.data(), static_cast<int>(room.size())) != SF_TRUE) return {};
    std::vector<Marker> found;
    for (uint32_t i = 0; i < count; ++i) {
        SF_CUE_POINT cue;
        std::memcpy(&cue, room.data() + sizeof(uint32_t) + i * sizeof cue, sizeof cue);
        cue.name[sizeof cue.name - 1] = '\0';
        found.push_back({cue.name, std::min<int64_t>(cue.sample_offset, info_.frames)});
        if (found.back().name.empty()) found.back().name = fmt::format("marker {}", i + 1);
    }
    std::stable_sort(found.begin(), found.end(), [](const Marker& a, const Marker& b) { return a.frame < b.frame; });
    return found;
}

Result<void> SoundReader::read(int64_t first, int64_t frames, float* out) {
    const size_t channels = static_cast<size_t>(info_.channels);
    const int64_t begin = std::clamp<int64_t>(first, 0, info_.frames);
    const int64_t end = std::clamp<int64_t>(first + frames, begin, info_.frames);
    const size_t before = static_cast<size_t>(std::clamp<int64_t>(begin - first, 0, frames)) * channels;
    const size_t samples = static_cast<size_t>(end - begin) * channels;
    std::fill_n(out, before, 0.0f);
    float* const body = out + before;
    std::fill(body + samples, out + static_cast<size_t>(frames) * channels, 0.0f);
    if (samples == 0) return {};

    if (begin != position_ && sf_seek(file_.get(), begin, SEEK_SET) != begin) {
        std::fill_n(body, samples, 0.0f);
        return fail(name_, translate("frame {} of the file cannot be reached. Copy or export the file again.", begin));
    }
    position_ = end;
    sf_count_t got = 0;
    if (packing_ == Packing::by_library) {
        got = sf_read_float(file_.get(), body, static_cast<sf_count_t>(samples));
    } else if (packing_ == Packing::f32) {
        got = sf_read_raw(file_.get(), body, static_cast<sf_count_t>(samples * 4)) / 4;
    } else {
        // One for all readers of a thread: it stays in the processor's cache.
        static thread_local std::vector<unsigned char> raw;
        const size_t bytes = packing_ == Packing::s16 ? 2 : 3;
        raw.resize(std::max(raw.size(), samples * bytes));
        got = sf_read_raw(file_.get(), raw.data(), static_cast<sf_count_t>(samples * bytes)) /
              static_cast<sf_count_t>(bytes);
        const size_t count = static_cast<size_t>(std::max<sf_count_t>(got, 0));
        if (packing_ == Packing::s16)
            kernels::unpack_s16(reinterpret_cast<const int16_t*>(raw.data()), count, body);
        else
            kernels::unpack_s24(raw.data(), count, body);
    }
    if (packing_ == Packing::by_library || packing_ == Packing::f32)
        non_finite_ +=
            static_cast<int64_t>(kernels::remove_non_finite(body, static_cast<size_t>(std::max<sf_count_t>(got, 0))));
    if (got == static_cast<sf_count_t>(samples)) return {};
    std::fill(body + std::max<sf_count_t>(got, 0), body + samples, 0.0f);
    position_ = -1;
    return fail(name_, translate("reading stopped at frame {} of {}. Copy or export the file again.",
                                 begin + std::max<sf_count_t>(got, 0) / info_.channels, info_.frames));
}

int64_t pack_samples(std::span<const float> in, SampleFormat format, int64_t first_sample, unsigned char* out,
                     Dither dither) {
    if (format == SampleFormat::f32) {
        std::memcpy(out, in.data(), in.size_bytes());
        return 0;
    }
    const bool dithered = dither == Dither::always || (dither == Dither::for_16_bit && format == SampleFormat::s16);
    if (format == SampleFormat::s24 && !dithered)
        return static_cast<int64_t>(kernels::pack_s24(in.data(), in.size(), out));
    const float scale = format == SampleFormat::s16 ? 32768.0f : 8388608.0f;
    size_t clamped = 0;
    std::array<int32_t, 1024> values;
    for (size_t at = 0; at < in.size(); at += values.size()) {
        const size_t count = std::min(values.size(), in.size() - at);
        if (dithered) {
            clamped +=
                kernels::dithered(in.data() + at, count, scale,
                                  static_cast<uint32_t>(first_sample) + static_cast<uint32_t>(at), values.data());
        } else {
            for (size_t i = 0; i < count; ++i) {
                const float x = std::nearbyint(in[at + i] * scale);
                if (x > scale - 1.0f || x < -scale) ++clamped;
                values[i] = static_cast<int32_t>(std::clamp(x, -scale, scale - 1.0f));
            }
        }
        for (size_t i = 0; i < count; ++i) {
            const auto value = static_cast<uint32_t>(values[i]);
            *out++ = static_cast<unsigned char>(value);
            *out++ = static_cast<unsigned char>(value >> 8);
            if (format == SampleFormat::s24) *out++ = static_cast<unsigned char>(value >> 16);
        }
    }
    return static_cast<int64_t>(clamped);
}

void unpack_samples(std::span<const unsigned char> packed, SampleFormat format, float* out) {
    const size_t count = packed.size() / static_cast<size_t>(bytes_of(format));
    if (format == SampleFormat::f32)
        std::memcpy(out, packed.data(), packed.size());
    else if (format == SampleFormat::s24)
        kernels::unpack_s24(packed.data(), count, out);
    else
        for (size_t i = 0; i < count; ++i)
            out[i] = static_cast<float>(static_cast<int16_t>(packed[2 * i] | packed[2 * i + 1] << 8)) / 32768.0f;
}

namespace {
constexpr std::array<const char*, 6> type_names{"wav", "aiff", "flac", "ogg", "opus", "mp3"};
}

const char* file_type_name(FileType type) { return type_names[static_cast<size_t>(type)]; }

std::optional<FileType> file_type_named(std::string_view name) {
    for (size_t i = 0; i < type_names.size(); ++i)
        if (name == type_names[i]) return static_cast<FileType>(i);
    return std::nullopt;
}

namespace {

/// The cue points through libsndfile, their labels as a chunk of our own, since it reads labels but writes none.
void write_markers(SNDFILE* sound, const std::vector<Marker>& markers) {
    std::vector<char> cues(sizeof(uint32_t) + markers.size() * sizeof(SF_CUE_POINT));
    const auto count = static_cast<uint32_t>(markers.size());
    std::memcpy(cues.data(), &count, sizeof count);
    std::string labels = "adtl";
    const auto put = [&labels](uint32_t value) {
        for (int i = 0; i < 4; ++i) labels += static_cast<char>(value >> (8 * i));
    };
    for (uint32_t i = 0; i < count; ++i) {
        SF_CUE_POINT cue{};
        cue.indx = static_cast<int32_t>(i + 1);
        cue.position = cue.sample_offset = static_cast<uint32_t>(markers[i].frame);
        std::memcpy(&cue.fcc_chunk, "data", 4);
        std::memcpy(cues.data() + sizeof count + i * sizeof cue, &cue, sizeof cue);
        // One closing zero, and one more where the length is odd: ffmpeg and libsndfile lose their way otherwise.
        labels += "labl";
        put(static_cast<uint32_t>(4 + markers[i].name.size() + 1));
        put(i + 1);
        labels += markers[i].name;
        labels.append(markers[i].name.size() % 2 == 0 ? 2 : 1, '\0');
    }
    if (labels.size() % 4 != 0) {  // libsndfile rounds a chunk's size up to a multiple of 4
        labels += "fill";
        put(2);
        labels.append(2, '\0');
    }
    sf_command(sound, SFC_SET_CUE, cues.data(), static_cast<int>(cues.size()));
    SF_CHUNK_INFO chunk{};
    std::memcpy(chunk.id, "LIST", 4);
    chunk.id_size = 4;
    chunk.datalen = static_cast<unsigned>(labels.size());
    chunk.data = labels.data();
    sf_set_chunk(sound, &chunk);
}

/// Text into a field of fixed size, without a closing zero when it is full (EBU Tech 3285).
template <size_t size>
void put_text(char (&field)[size], const std::string& text) {
    std::memset(field, 0, size);
    std::memcpy(field, text.data(), std::min(size, text.size()));
}

/// Loudness figures are hundredths; 0x7fff says that one is not known.
int16_t hundredths(const std::optional<double>& value) {
    return value ? static_cast<int16_t>(std::lround(std::clamp(*value, -99.99, 99.99) * 100.0)) : int16_t{0x7fff};
}

void set_bext(SNDFILE* sound, const Broadcast& b) {
    SF_BROADCAST_INFO info{};
    put_text(info.description, b.description);
    put_text(info.originator, b.originator);
    put_text(info.originator_reference, b.reference);
    put_text(info.origination_date, b.date);
    put_text(info.origination_time, b.time);
    info.time_reference_low = static_cast<uint32_t>(b.time_reference);
    info.time_reference_high = static_cast<uint32_t>(static_cast<uint64_t>(b.time_reference) >> 32);
    info.version = 2;
    info.loudness_value = hundredths(b.loudness_lufs);
    info.loudness_range = hundredths(b.range_lu);
    info.max_true_peak_level = hundredths(b.true_peak_dbtp);
    info.max_momentary_loudness = hundredths(b.momentary_lufs);
    info.max_shortterm_loudness = hundredths(b.short_term_lufs);
    const std::string history = b.history.substr(0, sizeof info.coding_history - 1);
    std::memcpy(info.coding_history, history.data(), history.size());
    info.coding_history_size = static_cast<uint32_t>(history.size());
    sf_command(sound, SFC_SET_BROADCAST_INFO, &info, sizeof info);
}

int library_format(const SoundSpec& spec) {
    constexpr int64_t wav_limit = 0xFFFF0000;
    int samples = SF_FORMAT_FLOAT;
    if (spec.format == SampleFormat::s16)
        samples = SF_FORMAT_PCM_16;
    else if (spec.format == SampleFormat::s24)
        samples = SF_FORMAT_PCM_24;
    switch (spec.type) {
        case FileType::wav:
            return samples |
                   (spec.expected_frames * spec.channels * bytes_of(spec.format) < wav_limit ? SF_FORMAT_WAV
                                                                                             : SF_FORMAT_RF64);
        case FileType::aiff:
            return samples | SF_FORMAT_AIFF;
        case FileType::flac:
            return samples | SF_FORMAT_FLAC;
        case FileType::ogg:
            return SF_FORMAT_OGG | SF_FORMAT_VORBIS;
        case FileType::opus:
            return SF_FORMAT_OGG | SF_FORMAT_OPUS;
        case FileType::mp3:
            break;
    }
    return SF_FORMAT_MPEG | SF_FORMAT_MPEG_LAYER_III;
}

/// Where a fault of the disk is not the reason: the pending file knows of those, and the library's own word for the
/// rest is often that there was no error.
tl::unexpected<Error> not_encoded(const fs::path& file) {
    return fail(file.string(), translated("this file type cannot hold the audio. Choose another type."));
}

}  // namespace

struct SoundWriter::Cursor {
    PendingFile file;
    int64_t at = 0;
};

SoundWriter::SoundWriter() = default;
SoundWriter::SoundWriter(SoundWriter&& other) noexcept
    : cursor_(std::move(other.cursor_)),
      sound_(std::exchange(other.sound_, nullptr)),
      type_(other.type_),
      format_(other.format_) {}

Result<SoundWriter> SoundWriter::create(const fs::path& file, const SoundSpec& spec, const ProtectedFiles& kept) {
    SF_INFO info{};
    info.channels = spec.channels;
    info.samplerate = spec.sample_rate;
    info.format = library_format(spec);
    if (spec.type == FileType::flac && spec.format == SampleFormat::f32)
        return fail(file.string(),
                    translated("FLAC holds 16 or 24 bit, but no floating point. Choose another format."));
    const auto too_much = [&] {
        return fail(file.string(),
                    translate("a {} file cannot hold {} channels at {} Hz. Choose another format or rate.",
                              file_type_name(spec.type), spec.channels, spec.sample_rate));
    };
    if (!sf_format_check(&info)) return too_much();
    auto pending = PendingFile::create(file, kept);
    if (!pending) return tl::unexpected(pending.error());
    SoundWriter writer;
    writer.cursor_ = std::unique_ptr<Cursor>(new Cursor{std::move(*pending), 0});
    writer.type_ = spec.type;
    writer.format_ = is_lossy(spec.type) ? SampleFormat::f32 : spec.format;
    // Faults are kept by the pending file: the library forgets those that it meets in headers and on closing.
    SF_VIRTUAL_IO io{[](void* p) -> sf_count_t { return static_cast<Cursor*>(p)->file.bytes(); },
                     [](sf_count_t offset, int whence, void* p) -> sf_count_t {
                         auto* const cursor = static_cast<Cursor*>(p);
                         return cursor->at = sought(cursor->at, cursor->file.bytes(), offset, whence);
                     },
                     [](void*, sf_count_t, void*) -> sf_count_t { return 0; },
                     [](const void* from, sf_count_t count, void* p) -> sf_count_t {
                         auto* const cursor = static_cast<Cursor*>(p);
                         const std::string_view bytes(static_cast<const char*>(from), static_cast<size_t>(count));
                         if (!cursor->file.write(cursor->at, bytes)) return 0;
                         cursor->at += count;
                         return count;
                     },
                     [](void* p) -> sf_count_t { return static_cast<Cursor*>(p)->at; }};
    writer.sound_ = sf_open_virtual(&io, SFM_WRITE, &info, writer.cursor_.get());
    if (!writer.sound_) {
        if (auto so_far = writer.cursor_->file.so_far(); !so_far) return tl::unexpected(so_far.error());
        return too_much();  // which the library knows of some formats only now
    }
    sf_command(writer.sound_, SFC_SET_ADD_PEAK_CHUNK, nullptr, SF_FALSE);  // it would carry the time of writing
    sf_command(writer.sound_, SFC_SET_CLIPPING, nullptr, SF_TRUE);
    if (is_lossy(spec.type)) {
        double quality = spec.quality;
        if (spec.type == FileType::mp3)
            quality = 1.0 - quality, sf_command(writer.sound_, SFC_SET_COMPRESSION_LEVEL, &quality, sizeof quality);
        else
            sf_command(writer.sound_, SFC_SET_VBR_ENCODING_QUALITY, &quality, sizeof quality);
    }
    if (spec.type == FileType::wav) {
        if (spec.bext) set_bext(writer.sound_, *spec.bext);
        if (!spec.markers.empty()) write_markers(writer.sound_, spec.markers);
    }
    return writer;
}

void SoundWriter::finish_bext(const Broadcast& bext) { set_bext(sound_, bext); }

SoundWriter::~SoundWriter() {
    if (sound_) sf_close(sound_);
}

PendingFile& SoundWriter::pending() { return cursor_->file; }

Result<void> SoundWriter::write(std::span<const unsigned char> packed) {
    const auto bytes = static_cast<size_t>(bytes_of(format_));
    const auto count = static_cast<sf_count_t>(packed.size() / bytes);
    bool done = false;
    if (type_ == FileType::wav) {
        done = sf_write_raw(sound_, packed.data(), static_cast<sf_count_t>(packed.size())) ==
               static_cast<sf_count_t>(packed.size());
    } else if (format_ == SampleFormat::f32) {
        floats_.resize(static_cast<size_t>(count));
        std::memcpy(floats_.data(), packed.data(), packed.size());
        done = sf_write_float(sound_, floats_.data(), count) == count;
    } else {  // the library takes whole numbers from their top bits
        whole_.resize(static_cast<size_t>(count));
        for (size_t i = 0; i < whole_.size(); ++i) {
            uint32_t value = 0;
            for (size_t k = 0; k < bytes; ++k)
                value |= static_cast<uint32_t>(packed[i * bytes + k]) << (8 * (4 - bytes + k));
            whole_[i] = static_cast<int>(value);
        }
        done = sf_write_int(sound_, whole_.data(), count) == count;
    }
    if (done) return {};
    if (auto so_far = cursor_->file.so_far(); !so_far) return so_far;
    return not_encoded(cursor_->file.target());
}

Result<void> SoundWriter::close_sound() {
    const int closed = sound_ ? sf_close(std::exchange(sound_, nullptr)) : 0;
    if (auto so_far = cursor_->file.so_far(); !so_far) return so_far;
    if (closed != 0) return not_encoded(cursor_->file.target());
    return {};
}

Result<void> SoundWriter::finish() {
    const auto closed = close_sound();
    const auto finished = cursor_->file.finish();
    return closed ? finished : closed;
}

Result<void> SoundWriter::commit() {
    if (auto finished = finish(); !finished) return finished;
    return cursor_->file.commit();
}

}  // namespace isotonus
