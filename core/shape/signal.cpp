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

SignalState::SignalState(const SignalRecipe& of)
    : recipe(of),
      run(of),
      key(content_key(of)),
      frames(frames_of(of)),
      reductions(of.chain.size()),
      passed(of.chain.size()),
      faults(of.chain.size()) {}

std::shared_ptr<SignalState> SignalState::to_make(const SignalRecipe& whole, const SignalRecipe& run, size_t first,
                                                  bool streamed) {
    auto state = std::make_shared<SignalState>(whole);
    state->run = run;
    state->frames = frames_of(run);
    state->streamed = streamed;
    if (!streamed) state->kept = Spooled::reserve(state->frames * whole.source.channels()).value_or(nullptr);
    state->making = std::make_shared<SignalMaking>(*state, first);
    return state;
}

std::optional<std::vector<std::byte>> SignalState::checkpoint(size_t number) const {
    std::vector<std::byte> state(state_bytes);
    const size_t at = number * state_bytes;
    if (!kept_checkpoints) {
        std::copy_n(checkpoints.begin() + static_cast<std::ptrdiff_t>(at), state_bytes, state.begin());
        return state;
    }
    // Whole floats around it: states are as long as they are.
    constexpr size_t width = sizeof(float);
    const size_t first = at / width, last = (at + state_bytes + width - 1) / width;
    std::vector<float> around(last - first);
    if (!kept_checkpoints->read(static_cast<int64_t>(first), around.data(), std::ssize(around))) return std::nullopt;
    std::memcpy(state.data(), reinterpret_cast<const std::byte*>(around.data()) + (at - first * width), state_bytes);
    return state;
}

void SignalState::keep_checkpoints() {
    checkpoint_bytes = checkpoints.size();
    const size_t floats = (checkpoint_bytes + sizeof(float) - 1) / sizeof(float);
    auto spool = Spooled::reserve(static_cast<int64_t>(floats));
    checkpoints.resize(floats * sizeof(float));
    if (spool && (*spool)->write(0, reinterpret_cast<const float*>(checkpoints.data()), static_cast<int64_t>(floats))) {
        kept_checkpoints = *spool;
        checkpoints = std::vector<std::byte>();  // which gives its memory back
    } else {
        checkpoints.shrink_to_fit();
    }
}

bool SignalState::is_being_made() const { return making && !making->is_finished(); }
bool SignalState::is_kept() const { return kept && !(making && making->is_lost()); }

Signal::Signal(std::shared_ptr<SignalState> state)
    : state_(std::move(state)), origin_(state_->recipe.source.material->origin()) {
    const Material& before = *state_->recipe.source.material;
    origin_.channels = before.channels();
    origin_.rate = before.rate();
    origin_.lead = 0;  // a signal is in the song's time
    origin_.frames = state_->frames;
}

const SignalRecipe& Signal::recipe() const { return state_->recipe; }
bool Signal::is_provisional() const { return state_->provisional; }
size_t Signal::checkpoint_bytes() const { return state_->checkpoint_bytes; }

std::string Signal::fault(size_t position) const {
    return position < state_->faults.size() ? state_->faults[position] : std::string();
}

std::string Signal::content_key() const { return state_->key; }

Result<void> Signal::unchanged(Seen& seen) const {
    if (!seen.insert(this).second) return {};
    const SignalRecipe& made_of = recipe();
    std::vector<const PreFaderSource*> taps{&made_of.source};
    for (const auto& [row, tap] : made_of.keys) taps.push_back(&tap);
    for (const auto& [position, tap] : made_of.detector_input) taps.push_back(&tap);
    for (const PreFaderSource* tap : taps)
        if (auto same = tap->material->sound->unchanged(seen); !same) return same;
    if (isotonus::content_key(made_of) == content_key()) return {};
    for (const Processor& p : made_of.chain)
        if (!p.impulse.empty() || is_plugin(p.type))
            return fail(p.impulse.string(),
                        translate("'{}' changed after its sound was computed. Try again.", word_of(p.type)));
    return fail("", translated("a chain changed after its sound was computed. Try again."));
}

const std::vector<float>& Signal::reductions(size_t position) const {
    static const std::vector<float> none;
    return position < state_->reductions.size() ? state_->reductions[position] : none;
}

namespace {

Signal::Reduction summed_up(const std::vector<float>& all, int rate) {
    Signal::Reduction found;
    std::vector<float> worked;
    const auto deepest = std::min_element(all.begin(), all.end());
    found.max_db = std::fabs(static_cast<double>(*deepest));
    found.max_at_s = static_cast<double>((deepest - all.begin()) * block_frames) / rate;
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

std::optional<Signal::Reduction> Signal::reduction(size_t position) const {
    const std::vector<float>& all = reductions(position);
    return all.empty() ? std::nullopt : std::optional(summed_up(all, recipe().sample_rate));
}

double Signal::reduced_s(size_t position, double db) const {
    const std::vector<float>& all = reductions(position);
    const auto blocks = std::count_if(all.begin(), all.end(), [db](float r) { return static_cast<double>(r) <= -db; });
    return static_cast<double>(blocks * block_frames) / recipe().sample_rate;
}

Level Signal::peak_after_dbfs(size_t position) const {
    const auto& passed = state_->passed;
    return position < passed.size() ? level_from_gain(static_cast<double>(passed[position].peak)) : std::nullopt;
}

Level Signal::gain_db(size_t position) const {
    if (position >= state_->passed.size()) return std::nullopt;
    const ChainRun::Passed& passed = state_->passed[position];
    if (passed.square_in <= 0.0 || passed.square_out <= 0.0) return std::nullopt;
    return db_from_power(passed.square_out / passed.square_in);
}

Result<Signal::Reduction> reduction_of(const SignalRecipe& recipe, size_t position, Progress* progress) {
    return without_exceptions({}, [&]() -> Result<Signal::Reduction> {
        auto run = SignalRun::open(recipe, true);
        if (!run) return tl::unexpected(run.error());
        const int64_t frames = frames_of(recipe);
        ReductionWatch watch(recipe, run->chain, frames);
        if (position >= recipe.chain.size() || watch.by_position[position].empty())
            return fail(
                "", translated("this processor reduces no level. Choose a compressor, a ducker, a gate or a limiter."));
        run->chain.begin(0);
        float out[2 * stretch_frames];
        const int64_t cells = (frames + run->chain.latency() + cell_frames - 1) / cell_frames;
        for (int64_t cell = 0; cell < cells; cell += stretch_cells) {
            if (cell % 128 == 0 && progress && progress->cancelled()) return stopped();
            const int some = static_cast<int>(std::min<int64_t>(stretch_cells, cells - cell));
            if (auto done = run->process(cell, some, out); !done) return tl::unexpected(done.error());
            watch.note(run->chain, cell, some);
        }
        return summed_up(watch.by_position[position], recipe.sample_rate);
    });
}

namespace {

std::string tap_key(const PreFaderSource& tap) {
    std::string key = tap.material->sound->content_key();
    key += fmt::format("\n{} {} {}", tap.delay_samples, tap.gain, tap.material->rate());
    const auto add = [&key](const Curve& curve) {
        for (const RidePoint& p : curve.points)
            key += fmt::format("\n{} {} {} {}", p.time_s, p.value, static_cast<int>(p.segment), p.bend);
    };
    if (tap.trim_ride) add(*tap.trim_ride);
    return key;
}

}  // namespace

std::string content_key_of_band(const std::string& whole, Band band, double crossover_hz) {
    return band == Band::all ? whole : fmt::format("{} {} {}", whole, static_cast<int>(band), crossover_hz);
}

std::string content_key(const SignalRecipe& recipe) {
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
    for (const auto& [position, tap] : recipe.detector_input)
        key += fmt::format("\njudged {} {}", position, tap_key(tap));
    return Hash::name_of(key);
}

namespace {

class BandOfSignal : public Playable {
  public:
    BandOfSignal(std::shared_ptr<const Signal> of, Band band, double crossover_hz)
        : whole(std::move(of)), origin_(whole->origin()) {
        origin_.source.band = band;
        origin_.source.crossover_hz = crossover_hz;
        if (band == Band::low) origin_.channels = 1;
        origin_.frames += LowBand(crossover_hz, origin_.rate).reach();
    }
    int channels() const override { return origin_.channels; }
    int rate() const override { return origin_.rate; }
    int64_t frames() const override { return origin_.frames; }
    const ReadySource& origin() const override { return origin_; }
    Result<std::unique_ptr<FrameReader>> open() const override {
        auto reader = whole->open();
        if (!reader) return reader;
        const Source& source = origin_.source;
        auto band = std::make_unique<BandReader>(std::move(*reader), source.band, source.crossover_hz, origin_.rate);
        return edged(std::move(band), 0, origin_.frames);
    }
    std::string content_key() const override {
        return content_key_of_band(whole->content_key(), origin_.source.band, origin_.source.crossover_hz);
    }
    bool is_exact() const override { return whole->is_exact(); }
    Result<void> unchanged(Seen& seen) const override { return whole->unchanged(seen); }

    const std::shared_ptr<const Signal> whole;

  private:
    ReadySource origin_;
};

}  // namespace

std::shared_ptr<const Signal> signal_of(const Material& material) {
    if (const auto* band = dynamic_cast<const BandOfSignal*>(material.sound.get())) return band->whole;
    return std::dynamic_pointer_cast<const Signal>(material.sound);
}

MaterialPtr band_of(const MaterialPtr& whole, Band band, double crossover_hz) {
    auto material = std::make_shared<Material>(*whole);
    material->sound = std::make_shared<const BandOfSignal>(signal_of(whole), band, crossover_hz);
    return material;
}

const Material& before_chain(const Material& played) {
    const auto signal = signal_of(played);
    return signal ? *signal->recipe().source.material : played;
}

}  // namespace isotonus
