#include "core/shape/signal.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <cstring>
#include <utility>

#include "core/audio/media.h"
#include "core/files/hash.h"
#include "core/shape/plugin_registry.h"
#include "core/shape/room_response.h"
#include "core/shape/signal_making.h"

namespace isotonus {

namespace {

constexpr int64_t block_frames = LevelSummary::block_frames;

}  // namespace

std::shared_ptr<Signal> Signal::to_make(const SignalRecipe& whole, const SignalRecipe& run, size_t first,
                                        bool streamed) {
    auto signal = std::make_shared<Signal>();
    signal->recipe_ = whole;
    signal->run_ = run;
    signal->key_ = signal_key(whole);
    signal->frames_ = frames_of(run);
    signal->streamed_ = streamed;
    const size_t places = whole.chain.size();
    signal->reductions_.resize(places);
    signal->passed_.resize(places);
    signal->faults_.resize(places);
    if (!streamed) signal->kept_ = Spooled::reserve(signal->frames_ * whole.source.channels()).value_or(nullptr);
    signal->making_ = std::make_shared<SignalMaking>(*signal, first);
    return signal;
}

std::optional<std::vector<std::byte>> Signal::checkpoint(size_t number) const {
    std::vector<std::byte> state(state_bytes_);
    const size_t at = number * state_bytes_;
    if (!kept_checkpoints_) {
        std::copy_n(checkpoints_.begin() + static_cast<std::ptrdiff_t>(at), state_bytes_, state.begin());
        return state;
    }
    // Whole floats around it: states are as long as they are.
    constexpr size_t width = sizeof(float);
    const size_t first = at / width, last = (at + state_bytes_ + width - 1) / width;
    std::vector<float> around(last - first);
    if (!kept_checkpoints_->read(static_cast<int64_t>(first), around.data(), std::ssize(around))) return std::nullopt;
    std::memcpy(state.data(), reinterpret_cast<const std::byte*>(around.data()) + (at - first * width), state_bytes_);
    return state;
}

void Signal::keep_checkpoints() {
    checkpoint_bytes_ = checkpoints_.size();
    const size_t floats = (checkpoint_bytes_ + sizeof(float) - 1) / sizeof(float);
    auto kept = Spooled::reserve(static_cast<int64_t>(floats));
    checkpoints_.resize(floats * sizeof(float));
    if (kept && (*kept)->write(0, reinterpret_cast<const float*>(checkpoints_.data()), static_cast<int64_t>(floats))) {
        kept_checkpoints_ = *kept;
        checkpoints_ = std::vector<std::byte>();  // which gives its memory back
    } else {
        checkpoints_.shrink_to_fit();
    }
}

bool Signal::is_being_made() const { return making_ && !making_->is_finished(); }
bool Signal::is_kept() const { return kept_ && !(making_ && making_->is_lost()); }

const std::vector<float>& Signal::reductions(size_t place) const {
    static const std::vector<float> none;
    return place < reductions_.size() ? reductions_[place] : none;
}

namespace {

Signal::Reduction summed_up(const std::vector<float>& all, int rate) {
    Signal::Reduction found;
    std::vector<float> worked;
    const auto deepest = std::min_element(all.begin(), all.end());
    found.most_db = std::fabs(static_cast<double>(*deepest));
    found.most_at_s = static_cast<double>((deepest - all.begin()) * block_frames) / rate;
    for (const float db : all)
        if (db <= -0.5f) worked.push_back(-db);
    found.share = static_cast<double>(worked.size()) / static_cast<double>(all.size());
    if (worked.empty()) return found;
    const auto middle = worked.begin() + static_cast<std::ptrdiff_t>(worked.size() / 2);
    std::nth_element(worked.begin(), middle, worked.end());
    found.typical_db = static_cast<double>(*middle);
    return found;
}

}  // namespace

std::optional<Signal::Reduction> Signal::reduction(size_t place) const {
    const std::vector<float>& all = reductions(place);
    return all.empty() ? std::nullopt : std::optional(summed_up(all, recipe_.sample_rate));
}

double Signal::reduced_s(size_t place, double db) const {
    const std::vector<float>& all = reductions(place);
    const auto blocks = std::count_if(all.begin(), all.end(), [db](float r) { return static_cast<double>(r) <= -db; });
    return static_cast<double>(blocks * block_frames) / recipe_.sample_rate;
}

Level Signal::peak_after_dbfs(size_t place) const {
    return place < passed_.size() ? level_from_gain(static_cast<double>(passed_[place].peak)) : std::nullopt;
}

Level Signal::gain_db(size_t place) const {
    if (place >= passed_.size() || passed_[place].square_in <= 0.0 || passed_[place].square_out <= 0.0)
        return std::nullopt;
    return db_from_power(passed_[place].square_out / passed_[place].square_in);
}

Result<Signal::Reduction> reduction_of(const SignalRecipe& recipe, size_t place, Progress* progress) {
    return without_exceptions({}, [&]() -> Result<Signal::Reduction> {
        auto run = SignalRun::open(recipe, true);
        if (!run) return tl::unexpected(run.error());
        const int64_t frames = frames_of(recipe);
        ReductionWatch watch(recipe, run->chain, frames);
        if (place >= recipe.chain.size() || watch.by_place[place].empty())
            return fail("", said("this processor turns nothing down"));
        run->chain.begin(0);
        float out[2 * stretch_frames];
        const int64_t cells = (frames + run->chain.latency() + cell_frames - 1) / cell_frames;
        for (int64_t cell = 0; cell < cells; cell += stretch_cells) {
            if (cell % 128 == 0 && progress && progress->cancelled()) return stopped();
            const int some = static_cast<int>(std::min<int64_t>(stretch_cells, cells - cell));
            if (auto done = run->process(cell, some, out); !done) return tl::unexpected(done.error());
            watch.note(run->chain, cell, some);
        }
        return summed_up(watch.by_place[place], recipe.sample_rate);
    });
}

std::string material_key(const Material& material) {
    if (material.maker) return "made " + material.maker->key();
    if (!material.signal) return source_key(material.ready.source) + "\n" + material.ready.content;
    const Source& part = material.ready.source;
    return fmt::format("signal {} {} {}", material.signal->key(), static_cast<int>(part.band), part.crossover_hz);
}

namespace {

std::string tap_key(const RowTap& tap) {
    std::string key = material_key(*tap.material);
    key += fmt::format("\n{} {} {}", tap.delay_samples, tap.gain, tap.material->ready.rate);
    const auto add = [&key](const Curve& curve) {
        for (const RidePoint& p : curve.points)
            key += fmt::format("\n{} {} {} {}", p.time_s, p.value, static_cast<int>(p.segment), p.bend);
    };
    if (tap.trim_ride) add(*tap.trim_ride);
    return key;
}

}  // namespace

std::string signal_key(const SignalRecipe& recipe) {
    std::string key = fmt::format("signals 6\n{}\n{}", recipe.sample_rate, tap_key(recipe.source));
    for (const Processor& p : recipe.chain) {
        key += fmt::format("\n{} {} {} {} {}", p.type, p.id, p.in, p.match ? p.match_db : 0.0, p.key);
        // The window asks for keys with every change, so a room's file is not read for them.  Its stamp has the time of
        // its last change, which only the system sets.
        if (!p.impulse.empty()) key += " impulse " + cache_key(p.impulse, stamp_of(p.impulse), "");
        if (is_plugin(p.type))
            key += fmt::format(" {} tried {}", plugin_registry().version(p.type), plugin_registry().tries(p.type));
        for (const ParameterInfo* info : parameters_of(p)) {
            key += fmt::format(" {}={}", info->id, setting_of(p, *info));
            if (const CurvePtr ride = recipe.rides.heard(Parameter(*info, p.id)))
                for (const RidePoint& point : ride->points)
                    key += fmt::format("\n{} {} {} {}", point.time_s, point.value, static_cast<int>(point.segment),
                                       point.bend);
        }
        if (const auto tap = recipe.keys.find(p.key); p.key != 0 && tap != recipe.keys.end())
            key.append("\n").append(tap_key(tap->second));
    }
    for (const auto& [place, tap] : recipe.judged_by) key += fmt::format("\njudged {} {}", place, tap_key(tap));
    return Hash::name_of(key);
}

MaterialPtr band_of(const MaterialPtr& whole, Band band, double crossover_hz) {
    auto material = std::make_shared<Material>(*whole);
    material->ready.source.band = band;
    material->ready.source.crossover_hz = crossover_hz;
    if (band == Band::low) material->ready.channels = 1;
    material->ready.frames += LowBand(crossover_hz, whole->ready.rate).reach();
    return material;
}

const Material& before_chain(const Material& played) {
    return played.signal ? *played.signal->recipe().source.material : played;
}

}  // namespace isotonus
