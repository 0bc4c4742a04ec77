#include "core/shape/signal_run.h"

#include <algorithm>
#include <cmath>
#include <cstring>

namespace isotonus {

namespace {

constexpr int64_t read_frames = 4096;  ///< of a source at once

std::set<size_t> judged_positions(const SignalRecipe& recipe) {
    std::set<size_t> positions;
    for (const auto& [position, tap] : recipe.detector_input) positions.insert(position);
    return positions;
}

}  // namespace

int64_t frames_of(const SignalRecipe& recipe) {
    return recipe.source.end() +
           static_cast<int64_t>(std::ceil(tail_s(recipe.chain, recipe.rides) * recipe.sample_rate));
}

Result<TapReader> TapReader::open(const PreFaderSource& tap, bool in_order) {
    TapReader reader;
    reader.tap_ = &tap;
    const Playable& sound = *tap.material->sound;
    auto opened = in_order ? sound.open_ahead() : sound.open();
    if (!opened) return tl::unexpected(opened.error());
    reader.reader_ = std::move(*opened);
    return reader;
}

Result<void> TapReader::read(int64_t first, int64_t frames, float* out) {
    const auto channels = static_cast<size_t>(tap_->channels());
    for (int64_t done = 0; done < frames;) {
        const int64_t at = first + done;
        if (at < held_from_ || at >= held_from_ + read_frames || held_.empty()) {
            held_from_ =
                at >= 0 ? at / read_frames * read_frames : -((-at + read_frames - 1) / read_frames) * read_frames;
            if (auto read = fill(); !read) return read;
        }
        const int64_t inside = at - held_from_, part = std::min(frames - done, read_frames - inside);
        std::memcpy(out + static_cast<size_t>(done) * channels, held_.data() + static_cast<size_t>(inside) * channels,
                    static_cast<size_t>(part) * channels * sizeof(float));
        done += part;
    }
    return {};
}

Result<void> TapReader::fill() {
    const PreFaderSource& t = *tap_;
    const auto channels = static_cast<size_t>(t.channels());
    held_.assign(static_cast<size_t>(read_frames) * channels, 0.0f);
    if (held_from_ + read_frames <= 0 || held_from_ >= t.end()) return {};
    if (auto read = reader_->read(held_from_ - t.delay_samples, read_frames, held_.data()); !read) {
        held_.clear();
        return read;
    }
    if (held_from_ < 0) std::fill_n(held_.begin(), static_cast<size_t>(-held_from_) * channels, 0.0f);
    if (t.trim_ride) {
        double gains[read_frames];
        level_ride_gains(*t.trim_ride, t.material->rate(), std::max<int64_t>(0, held_from_), read_frames, gains);
        for (size_t i = 0; i < held_.size(); ++i)
            held_[i] = static_cast<float>(static_cast<double>(held_[i]) * t.gain * gains[i / channels]);
    } else if (t.gain != 1.0) {
        const auto gain = static_cast<float>(t.gain);
        for (float& x : held_) x *= gain;
    }
    return {};
}

SignalRun::SignalRun(const SignalRecipe& recipe, TapReader source)
    : chain(recipe.chain, recipe.rides, recipe.source.channels(), recipe.sample_rate, judged_positions(recipe)),
      source_(std::move(source)) {}

Result<SignalRun> SignalRun::open(const SignalRecipe& recipe, bool in_order) {
    auto source = TapReader::open(recipe.source, in_order);
    if (!source) return tl::unexpected(source.error());
    SignalRun run(recipe, std::move(*source));
    for (const ChainRun::SidechainInput& key : run.chain.keys()) {
        const PreFaderSource* tap = key.judged ? &recipe.detector_input.at(*key.judged) : nullptr;
        if (const auto row = recipe.keys.find(key.row); !tap && row != recipe.keys.end()) tap = &row->second;
        std::optional<TapReader> reader;
        if (tap) {
            auto opened = TapReader::open(*tap);
            if (!opened) return tl::unexpected(opened.error());
            reader = std::move(*opened);
        }
        run.key_channels_.push_back(reader ? reader->channels() : 1);
        run.key_cells_.emplace_back(static_cast<size_t>(2 * stretch_frames));
        run.key_readers_.push_back(std::move(reader));
    }
    for (auto& cell : run.key_cells_) run.key_inputs_.push_back(cell.data());
    return run;
}

Result<void> SignalRun::process(int64_t cell, int cells, float* out) {
    const int frames = cells * cell_frames;
    if (auto read = source_.read(cell * cell_frames, frames, out); !read) return read;
    for (size_t k = 0; k < key_readers_.size(); ++k) {
        if (!key_readers_[k]) continue;
        const int64_t at = cell * cell_frames - chain.keys()[k].late;
        if (auto read = key_readers_[k]->read(at, frames, key_cells_[k].data()); !read) return read;
    }
    chain.process(out, cells, key_inputs_, key_channels_);
    return {};
}

ReductionWatch::ReductionWatch(const SignalRecipe& recipe, const ChainRun& chain, int64_t frames)
    : by_position(recipe.chain.size()) {
    constexpr int64_t block = LevelSummary::block_frames;
    for (size_t s = 0; s < chain.steps(); ++s)
        if (turns_down(*processor_type(recipe.chain[chain.position_of(s)].type)))
            by_position[chain.position_of(s)].assign(static_cast<size_t>((frames + block - 1) / block), 0.0f);
}

void ReductionWatch::note(const ChainRun& chain, int64_t first, int cells) {
    for (size_t s = 0; s < chain.steps(); ++s) {
        auto& list = by_position[chain.position_of(s)];
        if (list.empty()) continue;
        for (int n = 0; n < cells; ++n) {
            const int64_t frame = std::max<int64_t>(0, (first + n) * cell_frames - chain.latency());
            if (const auto block = static_cast<size_t>(frame / LevelSummary::block_frames); block < list.size())
                list[block] = std::min(list[block], chain.reduction_db(s, n));
        }
    }
}

}  // namespace isotonus
