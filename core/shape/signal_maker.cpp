#include <algorithm>
#include <cmath>
#include <utility>

#include "core/audio/media.h"
#include "core/shape/kept_sound.h"
#include "core/shape/plugin_registry.h"
#include "core/shape/signal_making.h"

namespace isotonus {

namespace {

/// What a signal is before it is measured.
std::shared_ptr<Material> unmeasured(const std::shared_ptr<SignalState>& state) {
    auto material = std::make_shared<Material>();
    material->sound = std::make_shared<const Signal>(state);
    material->recorded = state->recipe.source.material->recorded;
    return material;
}

/// The same figures of a signal that was made of others.
MaterialPtr as_signal(const Material& made, const std::shared_ptr<SignalState>& state) {
    auto material = std::make_shared<Material>(made);
    material->sound = std::make_shared<const Signal>(state);
    return material;
}

SignalState& state_of(const MaterialPtr& made) { return *signal_of(made)->state(); }

void set_figures(Material& material, Measurer::Outcome outcome) {
    material.measurement = std::move(outcome.measurement);
    material.summary = std::move(outcome.summary);
    material.hops = std::move(outcome.hops);
}

/// What is of the kind that its source is.
void set_figures(Material& material, Measurer::Outcome outcome, const SignalRecipe& recipe) {
    outcome.measurement.kind = recipe.source.material->measurement.kind;
    set_figures(material, std::move(outcome));
}

/// Reads all of a material.
Result<Measurer::Outcome> measure(const Material& material, Progress* progress) {
    auto reader = material.open();
    if (!reader) return tl::unexpected(reader.error());
    constexpr int64_t piece = 8192;
    const int channels = material.channels();
    Measurer measurer(channels, material.rate(), 1.0f);
    std::vector<float> samples(static_cast<size_t>(piece * channels));
    for (int64_t at = 0; at < material.frames(); at += piece) {
        if (progress && progress->cancelled()) return stopped();
        const int64_t frames = std::min(piece, material.frames() - at);
        if (auto done = (*reader)->read(at, frames, samples.data()); !done) return tl::unexpected(done.error());
        measurer.add(samples.data(), frames);
    }
    return measurer.finish();
}

/// The place of the last plug-in at work in a chain.
std::optional<size_t> last_plugin(const SignalRecipe& recipe) {
    for (size_t position = recipe.chain.size(); position-- > 0;)
        if (is_plugin(recipe.chain[position].type) && does_anything({recipe.chain[position]}, recipe.rides))
            return position;
    return std::nullopt;
}

/// In English: so is a fault kept.
std::string crashed_again() {
    const InEnglish english;
    return translated("the plug-in crashed more than once");
}

}  // namespace

/// Makes a signal: as a whole, or on top of what a plug-in in its chain makes.
class SignalMaker {
  public:
    SignalMaker(const SignalRecipe& recipe, Progress* progress) : recipe_(recipe), progress_(progress) {}

    Result<MaterialPtr> make() {
        const auto plugin = last_plugin(recipe_);
        return plugin ? make_after(*plugin) : run(recipe_, 0);
    }

  private:
    /// A stretch of the chain, and what comes into it.
    SignalRecipe part(size_t from, size_t to, const PreFaderSource& source) const {
        SignalRecipe some = recipe_;
        some.source = source;
        some.chain.assign(recipe_.chain.begin() + static_cast<std::ptrdiff_t>(from),
                          recipe_.chain.begin() + static_cast<std::ptrdiff_t>(to));
        some.detector_input.clear();
        for (const auto& [position, tap] : recipe_.detector_input)
            if (position >= from && position < to) some.detector_input[position - from] = tap;
        return some;
    }

    /// The plug-in at a place is the last one.
    Result<MaterialPtr> make_after(size_t position) {
        const auto tap_of = [](const MaterialPtr& m) { return PreFaderSource{m, 0, 1.0, nullptr}; };
        PreFaderSource source = recipe_.source;
        std::vector<MaterialPtr> parts(3);
        if (position > 0) {
            auto before = SignalMaker(part(0, position, source), progress_).make();
            if (!before) return before;
            source = tap_of(parts[0] = *before);
        }
        auto made = of_plugin(part(position, position + 1, source));
        if (!made) return made;
        const SignalRecipe rest = part(position + 1, recipe_.chain.size(), tap_of(parts[1] = *made));
        made = does_anything(rest.chain, rest.rides) ? run(rest, position + 1) : as_own(*made);
        if (!made) return made;
        // What was found while the parts were made is found of the whole.
        const auto state = std::make_shared<SignalState>(state_of(*made));
        for (const size_t n : {size_t{0}, size_t{1}}) {
            if (!parts[n]) continue;
            const SignalState& of = state_of(parts[n]);
            const size_t first = n == 0 ? 0 : position;
            for (size_t i = 0; i < of.recipe.chain.size(); ++i) {
                state->reductions[first + i] = of.reductions[i];
                state->passed[first + i] = of.passed[i];
                state->faults[first + i] = of.faults[i];
            }
        }
        auto whole = std::make_shared<Material>(*as_signal(**made, state));
        whole->measurement.kind = recipe_.source.material->measurement.kind;
        return MaterialPtr(std::move(whole));
    }

    /// The sound of a plug-in that nothing follows, as that of the whole chain.
    Result<MaterialPtr> as_own(const MaterialPtr& made) const {
        const auto state = std::make_shared<SignalState>(recipe_);
        const SignalState& of = state_of(made);
        state->run = of.run;
        state->frames = of.frames;
        state->kept = of.kept;
        return as_signal(*made, state);
    }

    /// What one plug-in makes: as it was kept, or made now.  One that goes wrong lets through what comes in.
    Result<MaterialPtr> of_plugin(const SignalRecipe& recipe) {
        const Processor& plugin = recipe.chain.front();
        const std::string key = content_key(recipe);
        const int channels = recipe.source.channels();
        if (auto kept = kept_sound(key, channels)) return measured(recipe, std::move(kept->spool), kept->frames);
        std::optional<std::string> fault;
        if (plugin_registry().is_missing(plugin.type)) fault = translated("the plug-in is not installed");
        if (!fault) {
            auto spool = Spooled::reserve(frames_of(recipe) * channels);
            if (!spool) return tl::unexpected(spool.error());
            bool begun_again = false;
            auto frames = spooled(recipe, **spool, &begun_again);
            // What a plug-in makes after it lost what it remembered is not what was asked for.
            if (frames && begun_again) frames = spooled(recipe, **spool, &begun_again);
            if (!frames) return tl::unexpected(frames.error());
            if (begun_again) plugin_registry().take_out(plugin.type, crashed_again());
            fault = plugin_registry().fault(plugin.type);
            if (!fault) {
                keep_sound(key, **spool, channels, *frames);
                return measured(recipe, std::move(*spool), *frames);
            }
        }
        SignalRecipe through = recipe;
        through.chain.front().in = false;
        through.chain.front().match = false;
        through.rides = {};
        auto made = SignalMaker(through, progress_).run(through, 0);
        if (!made) return made;
        const auto state = std::make_shared<SignalState>(state_of(*made));
        state->faults.front() = *fault;
        return as_signal(**made, state);
    }

    /// Runs a plug-in over the whole song; returns how many frames there are until it is silent.
    Result<int64_t> spooled(const SignalRecipe& recipe, Spooled& spool, bool* begun_again) {
        auto run = SignalRun::open(recipe, true);
        if (!run) return tl::unexpected(run.error());
        const int64_t frames = frames_of(recipe), late = run->chain.latency(), wide = recipe.source.channels();
        int64_t sounding = recipe.source.end(), at = -late;
        float out[2 * cell_frames];
        run->chain.begin(0);
        for (int64_t cell = 0; at < frames; ++cell, at += cell_frames) {
            if (cell % 128 == 0 && progress_) {
                if (progress_->cancelled()) return stopped();
                progress_->report(static_cast<double>(std::max<int64_t>(0, at)) / static_cast<double>(frames));
            }
            if (auto done = run->process(cell, 1, out); !done) return tl::unexpected(done.error());
            const int64_t skip = std::clamp<int64_t>(-at, 0, cell_frames),
                          take = std::min<int64_t>(cell_frames, frames - at);
            if (take <= skip) continue;
            if (!spool.write((at + skip) * wide, out + skip * wide, (take - skip) * wide))
                return fail(cache_folder().string(),
                            translated("the disk is full, so a plug-in cannot write its sound. Free some space."));
            constexpr float silent = 1e-5f;
            for (int64_t i = std::max(skip, recipe.source.end() - at) * wide; i < take * wide; ++i)
                if (std::fabs(out[i]) > silent) sounding = std::max(sounding, at + i / wide + 1);
        }
        *begun_again = run->chain.begun_again();
        return sounding;
    }

    /// A kept sound with its figures.
    Result<MaterialPtr> measured(const SignalRecipe& recipe, std::shared_ptr<Spooled> spool, int64_t frames) {
        const auto state = std::make_shared<SignalState>(recipe);
        state->frames = frames;
        state->kept = std::move(spool);
        auto material = unmeasured(state);
        auto figures = measure(*material, progress_);
        if (!figures) return tl::unexpected(figures.error());
        set_figures(*material, std::move(*figures), recipe);
        return MaterialPtr(std::move(material));
    }

    /// Runs a chain without plug-ins, of which the first is at `first` in the whole one.
    Result<MaterialPtr> run(const SignalRecipe& recipe, size_t first) {
        const auto state = SignalState::to_make(recipe_, recipe, first, false);
        auto made = state->making->finish(progress_);
        if (!made) return tl::unexpected(made.error());
        // Nobody has read it yet; from now on it may be copied.
        if (!state->is_kept()) state->kept.reset();
        state->making.reset();
        auto material = unmeasured(state);
        set_figures(*material, std::move(*made), recipe);
        return MaterialPtr(std::move(material));
    }

    const SignalRecipe recipe_;
    Progress* const progress_;
};

Result<MaterialPtr> make_signal(const SignalRecipe& recipe, Progress* progress) {
    return without_exceptions({}, [&] { return SignalMaker(recipe, progress).make(); });
}

std::optional<BegunSignal> BegunSignal::begin(const SignalRecipe& recipe) {
    if (last_plugin(recipe)) return std::nullopt;
    BegunSignal begun;
    begun.material_ = unmeasured(SignalState::to_make(recipe, recipe, 0, false));
    return begun;
}

Result<MaterialPtr> BegunSignal::finish(Progress* progress) const {
    return without_exceptions({}, [&]() -> Result<MaterialPtr> {
        const SignalState& state = state_of(material_);
        auto made = state.making->finish(progress);
        if (!made) return tl::unexpected(made.error());
        set_figures(*material_, std::move(*made), state.recipe);
        return MaterialPtr(material_);
    });
}

std::optional<BegunSignal> BegunSignal::stream(const SignalRecipe& recipe) {
    if (last_plugin(recipe)) return std::nullopt;
    BegunSignal begun;
    begun.material_ = unmeasured(SignalState::to_make(recipe, recipe, 0, true));
    return begun;
}

StreamsAhead::StreamsAhead(std::vector<MaterialPtr> streamed, int workers) : streamed_(std::move(streamed)) {
    const auto work = [this](const std::stop_token& stop) {
        while (!stop.stop_requested()) {
            bool any = false;
            for (const MaterialPtr& m : streamed_) any |= !stop.stop_requested() && state_of(m).making->go_ahead();
            // Who reads takes longer than this for a piece.  What fails is told by whoever reads it.
            if (!any) std::this_thread::sleep_for(std::chrono::microseconds(500));
        }
    };
    for (int n = 0; n < workers && !streamed_.empty(); ++n) threads_.emplace_back(work);
}

Result<MaterialPtr> make_band(const MaterialPtr& whole, Band band, double crossover_hz, Progress* progress) {
    return without_exceptions({}, [&]() -> Result<MaterialPtr> {
        auto material = std::make_shared<Material>(*band_of(whole, band, crossover_hz));
        auto figures = measure(*material, progress);
        if (!figures) return tl::unexpected(figures.error());
        set_figures(*material, std::move(*figures));
        return MaterialPtr(std::move(material));
    });
}

MaterialPtr provisional_signal(const SignalRecipe& recipe) {
    const auto state = std::make_shared<SignalState>(recipe);
    state->provisional = true;
    return unmeasured(state);
}

}  // namespace isotonus
