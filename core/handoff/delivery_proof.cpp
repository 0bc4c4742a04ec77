#include <openssl/evp.h>

#include <cmath>

#include "core/handoff/delivery_parts.h"

namespace isotonus {

Result<void> prove(Job& job, const Delivery& d, Progress* progress) {
    const fs::path& file = job.writer.pending().temporary();
    const std::string name = job.out.file.string();
    const auto differs = [&](const std::string& what) {
        return fail(name,
                    translate("the written file differs from the mix: {}. The file before it is unchanged. Check the "
                              "disk and export again.",
                              what));
    };
    const auto promised = frames_by_header(file, d.type);
    if (!promised) return differs(promised.error().what);
    if (*promised && **promised != job.packer.written)
        return differs(translate("the header gives {} frames, the mix has {}", **promised, job.packer.written));
    auto reader = SoundReader::open(file);
    if (!reader) return differs(reader.error().what);
    const SoundInfo& info = reader->info();
    std::optional<Measurer> measurer;
    if (is_lossy(d.type)) measurer.emplace(info.channels, info.sample_rate, full_scale_of(info.bits, info.floating));
    Hash hash;
    constexpr int64_t piece = 4096;  // so that what is read stays in the processor's cache until it is hashed
    std::vector<float> samples(static_cast<size_t>(piece * info.channels));
    double square = 0.0;
    for (int64_t at = 0; at < info.frames; at += piece) {
        if (progress && progress->cancelled()) return stopped();
        const int64_t frames = std::min(piece, info.frames - at);
        if (auto done = reader->read(at, frames, samples.data()); !done) return differs(done.error().what);
        const std::span<const float> got(samples.data(), static_cast<size_t>(frames * info.channels));
        hash.add(got.data(), got.size_bytes());
        if (!measurer) continue;
        measurer->add(samples.data(), frames);
        for (const float x : got) square += static_cast<double>(x) * static_cast<double>(x);
    }
    if (measurer) {
        job.out.measured = measurer->finish().measurement;
        job.out.proof = Proof::alike;
        // Codecs leave the top of the spectrum out (of white noise 1.8 dB), and what is quieter than -80 dBFS
        // altogether.
        const double quiet = 1e-8 * static_cast<double>(2 * job.packer.written);
        if (std::fabs(10.0 * std::log10((square + quiet) / (job.square + quiet))) >= 3.0)
            return differs(translated("the level differs"));
        if (std::llabs(info.frames - job.packer.written) > 3000)
            return differs(translate("{} frames were read, the mix has {}", info.frames, job.packer.written));
    } else if (info.frames != job.packer.written || hash.value() != job.hash.value()) {
        return differs(translated("the samples differ"));
    }
    if (d.checksums) {
        auto sum = sha256_of(file, progress);
        if (!sum) return tl::unexpected(sum.error());
        job.out.sha256 = *sum;
    }
    job.out.bytes = static_cast<uintmax_t>(job.writer.pending().bytes());
    return {};
}

Result<std::string> sha256_of(const fs::path& file, const Progress* progress) {
    auto opened = PooledFile::open(file);
    if (!opened) return tl::unexpected(opened.error());
    const std::unique_ptr<EVP_MD_CTX, decltype(&EVP_MD_CTX_free)> sum(EVP_MD_CTX_new(), &EVP_MD_CTX_free);
    EVP_DigestInit_ex(sum.get(), EVP_sha256(), nullptr);
    std::string piece(1 << 20, '\0');
    for (int64_t at = 0; at < (*opened)->bytes();) {
        if (progress && progress->cancelled()) return stopped();
        int problem = 0;
        const int64_t got = (*opened)->read(at, piece.data(), static_cast<int64_t>(piece.size()), &problem);
        if (problem || got == 0)
            return fail(file.string(), translated("the file cannot be read. Check its permissions and the disk."));
        EVP_DigestUpdate(sum.get(), piece.data(), static_cast<size_t>(got));
        at += got;
    }
    unsigned char digest[EVP_MAX_MD_SIZE];
    unsigned size = 0;
    EVP_DigestFinal_ex(sum.get(), digest, &size);
    return hexadecimal({reinterpret_cast<const char*>(digest), size});
}

std::string checksums_of(const DeliveryReport& report) {
    std::string text;
    for (const DeliveredFile& f : report.files) text += f.sha256 + "  " + f.file.filename().string() + "\n";
    return text;
}

}  // namespace isotonus
