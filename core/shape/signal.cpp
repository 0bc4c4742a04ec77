#include "core/shape/signal.h"

#include <fmt/format.h>

#include <algorithm>
#include <cmath>
#include <cstring>
#include <utility>

#include "core/audio/media.h"
#include "core/files/hash.h"
#include "core/foreign/plugins.h"
#include "core/shape/kept_sound.h"
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
    if (!streamed) signal->kept_ = Spooled::reserve(signal->frames_ * whole.source.channels());
    signal->making_ = std::make_shared<SignalMaking>(*signal, first);
    return signal;
}

bool Signal::is_being_made() const { return making_ && !making_->is_finished(); }
bool Signal::is_kept() const { return kept_ && !(making_ && making_->is_lost()); }

/// Reads a signal anywhere: from the nearest checkpoint, or on from where it is.
class SignalReader : public FrameReader {
  public:
    static Result<std::unique_ptr<FrameReader>> open(std::shared_ptr<const Signal> signal) {
        auto run = SignalRun::open(signal->run_);
        if (!run) return tl::unexpected(run.error());
        return std::unique_ptr<FrameReader>(new SignalReader(std::move(signal), std::move(*run)));
    }
    int channels() const override { return channels_; }

    Result<void> read(int64_t first, int64_t frames, float* out) override {
        const int64_t late = run_.chain.latency();
        for (int64_t done = 0; done < frames;) {
            const int64_t at = first + done;
            if (at < 0 || at >= signal_->frames_) {
                const int64_t part = at < 0 ? std::min(frames - done, -at) : frames - done;
                std::fill_n(out + done * channels_, part * channels_, 0.0f);
                done += part;
                continue;
            }
            const int64_t wanted = std::min(frames - done, signal_->frames_ - at), last = at + late + wanted - 1;
            if (auto reached = reach((at + late) / cell_frames, last / cell_frames); !reached) {
                next_ = -1;
                held_cells_ = 0;
                return reached;
            }
            const int64_t inside = at + late - (next_ - held_cells_) * cell_frames;
            const int64_t part = std::min(wanted, held_cells_ * cell_frames - inside);
            std::copy_n(held_.data() + inside * channels_, part * channels_, out + done * channels_);
            done += part;
        }
        return {};
    }

  private:
    SignalReader(std::shared_ptr<const Signal> signal, SignalRun run)
        : signal_(std::move(signal)),
          run_(std::move(run)),
          channels_(signal_->recipe_.source.channels()),
          held_(static_cast<size_t>(stretch_frames * channels_)) {}

    /// Makes this input cell one of those whose output is held; none behind `last` is processed.
    Result<void> reach(int64_t cell, int64_t last) {
        if (cell >= next_ - held_cells_ && cell < next_) return {};
        if (next_ < 0 || cell < next_ || (!signal_->is_being_made() && cell - next_ > spacing())) start_before(cell);
        for (; next_ <= cell; next_ += held_cells_) {
            held_cells_ = std::min<int64_t>(stretch_cells, last + 1 - next_);
            if (auto done = run_.process(next_, static_cast<int>(held_cells_), held_.data()); !done) return done;
        }
        return {};
    }

    int64_t spacing() const {
        return signal_->is_provisional() ? signal_->recipe_.sample_rate / cell_frames : signal_->spacing_cells_;
    }

    /// From the checkpoint; before there are any from the song's start.  Of a provisional one from as far back, with
    /// nothing remembered.
    void start_before(int64_t cell) {
        if (signal_->is_being_made() || signal_->is_provisional()) {
            next_ = signal_->is_provisional() ? std::max<int64_t>(0, cell - spacing()) : 0;
            run_.chain.begin(next_);
            return;
        }
        const int64_t n = cell / spacing();
        next_ = n * spacing();
        run_.chain.go_on(next_, std::span(signal_->checkpoints_)
                                    .subspan(static_cast<size_t>(n) * signal_->state_bytes_, signal_->state_bytes_));
    }

    std::shared_ptr<const Signal> signal_;
    SignalRun run_;
    int channels_;
    std::vector<float> held_;
    int64_t next_ = -1;       ///< the cell that is processed next; -1: none was
    int64_t held_cells_ = 0;  ///< those before it, whose output is held
};

namespace {

/// Fills what lies outside of a signal with silence; returns what lies inside: the first frame and the one behind it.
std::pair<int64_t, int64_t> silence_outside(int64_t end, int64_t first, int64_t frames, int64_t wide, float* out) {
    const int64_t from = std::clamp<int64_t>(first, 0, end), to = std::clamp<int64_t>(first + frames, from, end);
    if (to == from) {
        std::fill_n(out, frames * wide, 0.0f);
    } else {
        std::fill_n(out, (from - first) * wide, 0.0f);
        std::fill_n(out + (to - first) * wide, (first + frames - to) * wide, 0.0f);
    }
    return {from, to};
}

}  // namespace

/// Reads what is kept of a signal, or will be.
class KeptReader : public FrameReader {
  public:
    explicit KeptReader(std::shared_ptr<const Signal> signal) : signal_(std::move(signal)) {}
    int channels() const override { return signal_->recipe_.source.channels(); }
    Result<void> read(int64_t first, int64_t frames, float* out) override {
        const int64_t wide = channels();
        const auto [from, to] = silence_outside(signal_->frames_, first, frames, wide, out);
        if (to == from) return {};
        if (auto there = reach(to); !there) return there;
        if (!signal_->is_kept()) {  // the disk was full in the middle of it
            if (!running_) {
                auto opened = SignalReader::open(signal_);
                if (!opened) return tl::unexpected(opened.error());
                running_ = std::move(*opened);
            }
            return running_->read(first, frames, out);
        }
        if (!signal_->kept_->read(from * wide, out + (from - first) * wide, (to - from) * wide))
            return fail(cache_folder().string(), said("what was kept there cannot be read again"));
        return {};
    }
    const float* view(int64_t first, int64_t frames) override {
        if (first < 0 || first + frames > signal_->frames_ || !reach(first + frames) || !signal_->is_kept())
            return nullptr;
        const float* const all = signal_->kept_->mapped();
        return all ? all + first * channels() : nullptr;
    }

  private:
    Result<void> reach(int64_t frames) {
        return signal_->is_being_made() ? signal_->making_->reach(frames) : Result<void>();
    }
    std::shared_ptr<const Signal> signal_;
    std::unique_ptr<FrameReader> running_;
};

/// Reads a streamed signal.
class StreamReader : public FrameReader {
  public:
    explicit StreamReader(std::shared_ptr<const Signal> signal)
        : signal_(std::move(signal)), place_(signal_->making_->enter()) {}
    ~StreamReader() override { signal_->making_->leave(place_); }
    int channels() const override { return signal_->recipe_.source.channels(); }
    Result<void> read(int64_t first, int64_t frames, float* out) override {
        const int64_t wide = channels();
        const auto [from, to] = silence_outside(signal_->frames_, first, frames, wide, out);
        for (int64_t at = from; at < to;) {
            const int64_t part = std::min(to, (at / piece + 1) * piece) - at;
            if (auto there = hold(at, part); !there) return there;
            if (!held_) return read_anew(first, frames, out);
            std::copy_n(held_->data() + at % piece * wide, part * wide, out + (at - first) * wide);
            at += part;
        }
        return {};
    }
    const float* view(int64_t first, int64_t frames) override {
        const bool one_piece = first >= 0 && frames > 0 && first + frames <= signal_->frames_ &&
                               first / piece == (first + frames - 1) / piece;
        return one_piece && hold(first, frames) && held_ ? held_->data() + first % piece * channels() : nullptr;
    }

  private:
    static constexpr int64_t piece = SignalMaking::piece_frames;

    Result<void> hold(int64_t first, int64_t frames) {
        auto there = signal_->making_->reach(first + frames);
        held_ = there ? signal_->making_->piece_at(place_, first) : nullptr;
        return there;
    }
    /// What has gone already.
    Result<void> read_anew(int64_t first, int64_t frames, float* out) {
        if (!anew_) {
            auto opened = SignalReader::open(signal_);
            if (!opened) return tl::unexpected(opened.error());
            anew_ = std::move(*opened);
        }
        return anew_->read(first, frames, out);
    }

    const std::shared_ptr<const Signal> signal_;
    const SignalMaking::Place place_;
    SignalMaking::Piece held_;
    std::unique_ptr<FrameReader> anew_;
};

Result<std::unique_ptr<FrameReader>> open_running(const std::shared_ptr<const Signal>& signal) {
    return SignalReader::open(signal);
}

Result<std::unique_ptr<FrameReader>> open_material(const Material& material) {
    if (material.maker) return material.maker->open();
    if (!material.signal) return open_source(material.ready);
    const std::shared_ptr<const Signal>& signal = material.signal;
    Result<std::unique_ptr<FrameReader>> whole =
        signal->streamed_   ? Result<std::unique_ptr<FrameReader>>(std::make_unique<StreamReader>(signal))
        : signal->is_kept() ? Result<std::unique_ptr<FrameReader>>(std::make_unique<KeptReader>(signal))
                            : open_running(signal);
    const Source& source = material.ready.source;
    if (!whole || source.band == Band::all) return whole;
    return std::unique_ptr<FrameReader>(
        std::make_unique<BandReader>(std::move(*whole), source.band, source.crossover_hz, material.ready.rate));
}

const std::vector<float>& Signal::reductions(size_t place) const {
    static const std::vector<float> none;
    return place < reductions_.size() ? reductions_[place] : none;
}

namespace {

Signal::Reduction summed_up(const std::vector<float>& all, int rate) {
    Signal::Reduction found;
    std::vector<float> worked;
    const auto deepest = std::min_element(all.begin(), all.end());
    found.most_db = -static_cast<double>(*deepest);
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
    if (!material.signal) return source_key(material.ready.source);
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
    std::string key = fmt::format("signals 3\n{}\n{}", recipe.sample_rate, tap_key(recipe.source));
    for (const Processor& p : recipe.chain) {
        key += fmt::format("\n{} {} {} {} {}", p.type, p.id, p.in, p.match ? p.match_db : 0.0, p.key);
        if (!p.impulse.empty()) key += " impulse " + cache_key(p.impulse, "impulse");
        if (const int tries = plugin_tries(p.type)) key += fmt::format(" tried {}", tries);
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

Result<MaterialPtr> make_band(const MaterialPtr& whole, Band band, double crossover_hz, Progress* progress) {
    return without_exceptions({}, [&]() -> Result<MaterialPtr> {
        auto material = std::make_shared<Material>(*band_of(whole, band, crossover_hz));
        auto reader = open_material(*material);
        if (!reader) return tl::unexpected(reader.error());
        constexpr int64_t piece = 8192;
        Measurer measurer(material->ready.channels, whole->ready.rate, 1.0f);
        std::vector<float> samples(static_cast<size_t>(piece * material->ready.channels));
        for (int64_t at = 0; at < material->ready.frames; at += piece) {
            if (progress && progress->cancelled()) return stopped();
            const int64_t frames = std::min(piece, material->ready.frames - at);
            if (auto done = (*reader)->read(at, frames, samples.data()); !done) return tl::unexpected(done.error());
            measurer.add(samples.data(), frames);
        }
        Measurer::Outcome outcome = measurer.finish();
        material->measurement = std::move(outcome.measurement);
        material->summary = std::move(outcome.summary);
        material->hops = std::move(outcome.hops);
        return MaterialPtr(std::move(material));
    });
}

namespace {

/// What a signal is before it is measured.
std::shared_ptr<Material> unmeasured(const SignalRecipe& recipe, int64_t frames, std::shared_ptr<const Signal> signal) {
    const Material& before = *recipe.source.material;
    auto material = std::make_shared<Material>();
    material->ready = before.ready;
    material->ready.frames = frames;
    material->recorded = before.recorded;
    material->signal = std::move(signal);
    return material;
}

void set_figures(Material& material, Measurer::Outcome outcome, const SignalRecipe& recipe) {
    outcome.measurement.kind = recipe.source.material->measurement.kind;
    material.measurement = std::move(outcome.measurement);
    material.summary = std::move(outcome.summary);
    material.hops = std::move(outcome.hops);
}

/// The place of the last plug-in at work in a chain.
std::optional<size_t> last_plugin(const SignalRecipe& recipe) {
    for (size_t place = recipe.chain.size(); place-- > 0;)
        if (is_plugin(recipe.chain[place].type) && does_anything({recipe.chain[place]}, recipe.rides)) return place;
    return std::nullopt;
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
    SignalRecipe part(size_t from, size_t to, const RowTap& source) const {
        SignalRecipe some = recipe_;
        some.source = source;
        some.chain.assign(recipe_.chain.begin() + static_cast<std::ptrdiff_t>(from),
                          recipe_.chain.begin() + static_cast<std::ptrdiff_t>(to));
        some.judged_by.clear();
        for (const auto& [place, tap] : recipe_.judged_by)
            if (place >= from && place < to) some.judged_by[place - from] = tap;
        return some;
    }

    /// The plug-in at a place is the last one.
    Result<MaterialPtr> make_after(size_t place) {
        const auto tap_of = [](const MaterialPtr& m) { return RowTap{m, 0, 1.0, nullptr}; };
        RowTap source = recipe_.source;
        std::vector<MaterialPtr> parts(3);
        if (place > 0) {
            auto before = SignalMaker(part(0, place, source), progress_).make();
            if (!before) return before;
            source = tap_of(parts[0] = *before);
        }
        auto made = of_plugin(part(place, place + 1, source));
        if (!made) return made;
        const SignalRecipe rest = part(place + 1, recipe_.chain.size(), tap_of(parts[1] = *made));
        made = does_anything(rest.chain, rest.rides) ? run(rest, place + 1) : as_own(*made);
        if (!made) return made;
        // What was found while the parts were made is found of the whole.
        auto whole = std::make_shared<Material>(**made);
        auto signal = std::make_shared<Signal>(*whole->signal);
        for (const size_t n : {size_t{0}, size_t{1}}) {
            if (!parts[n]) continue;
            const Signal& of = *parts[n]->signal;
            const size_t first = n == 0 ? 0 : place;
            for (size_t i = 0; i < of.recipe_.chain.size(); ++i) {
                signal->reductions_[first + i] = of.reductions_[i];
                signal->passed_[first + i] = of.passed_[i];
                signal->faults_[first + i] = of.faults_[i];
            }
        }
        whole->ready.source = recipe_.source.material->ready.source;
        whole->measurement.kind = recipe_.source.material->measurement.kind;
        whole->signal = std::move(signal);
        return MaterialPtr(std::move(whole));
    }

    /// The sound of a plug-in that nothing follows, as that of the whole chain.
    Result<MaterialPtr> as_own(const MaterialPtr& made) const {
        auto whole = std::make_shared<Material>(*made);
        auto signal = std::make_shared<Signal>(*made->signal);
        signal->recipe_ = recipe_;
        signal->key_ = signal_key(recipe_);
        signal->reductions_.assign(recipe_.chain.size(), {});
        signal->passed_.assign(recipe_.chain.size(), {});
        signal->faults_.assign(recipe_.chain.size(), {});
        whole->signal = std::move(signal);
        return MaterialPtr(std::move(whole));
    }

    /// What one plug-in makes: as it was kept, or made now.  One that goes wrong lets through what comes in.
    Result<MaterialPtr> of_plugin(const SignalRecipe& recipe) {
        const Processor& plugin = recipe.chain.front();
        const std::string key = signal_key(recipe);
        const int channels = recipe.source.channels();
        if (auto kept = kept_sound(key, channels)) return measured(recipe, std::move(kept->spool), kept->frames);
        std::optional<std::string> fault;
        for (const Plugin& p : known_plugins())
            if (p.missing && p.uri == uri_of_type(plugin.type)) fault = said("it is not installed");
        if (!fault) {
            auto spool = Spooled::reserve(frames_of(recipe) * channels);
            if (!spool) return fail(cache_folder().string(), said("there is no room to keep what a plug-in makes"));
            auto frames = spooled(recipe, *spool);
            if (!frames) return tl::unexpected(frames.error());
            fault = plugin_fault(plugin.type);
            if (!fault) {
                keep_sound(key, *spool, channels, *frames);
                return measured(recipe, std::move(spool), *frames);
            }
        }
        SignalRecipe through = recipe;
        through.chain.front().in = false;
        through.chain.front().match = false;
        through.rides = {};
        auto made = SignalMaker(through, progress_).run(through, 0);
        if (!made) return made;
        auto whole = std::make_shared<Material>(**made);
        auto signal = std::make_shared<Signal>(*whole->signal);
        signal->faults_.front() = *fault;
        whole->signal = std::move(signal);
        return MaterialPtr(std::move(whole));
    }

    /// Runs a plug-in over the whole song; returns how many frames there are until it is silent.
    Result<int64_t> spooled(const SignalRecipe& recipe, Spooled& spool) {
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
                return fail(cache_folder().string(), said("there is no room to keep what a plug-in makes"));
            constexpr float silent = 1e-5f;
            for (int64_t i = std::max(skip, recipe.source.end() - at) * wide; i < take * wide; ++i)
                if (std::fabs(out[i]) > silent) sounding = std::max(sounding, at + i / wide + 1);
        }
        return sounding;
    }

    /// A kept sound with its figures.
    Result<MaterialPtr> measured(const SignalRecipe& recipe, std::shared_ptr<Spooled> spool, int64_t frames) {
        auto signal = std::make_shared<Signal>();
        signal->recipe_ = signal->run_ = recipe;
        signal->key_ = signal_key(recipe);
        signal->frames_ = frames;
        signal->kept_ = std::move(spool);
        signal->reductions_.resize(1);
        signal->passed_.resize(1);
        signal->faults_.resize(1);
        const int channels = recipe.source.channels();
        Measurer measurer(channels, recipe.sample_rate, 1.0f);
        KeptReader reader(signal);
        constexpr int64_t piece = 8192;
        std::vector<float> samples(static_cast<size_t>(piece * channels));
        for (int64_t at = 0; at < frames; at += piece) {
            if (progress_ && progress_->cancelled()) return stopped();
            const int64_t some = std::min(piece, frames - at);
            if (auto done = reader.read(at, some, samples.data()); !done) return tl::unexpected(done.error());
            measurer.add(samples.data(), some);
        }
        auto material = unmeasured(recipe, frames, std::move(signal));
        set_figures(*material, measurer.finish(), recipe);
        return MaterialPtr(std::move(material));
    }

    /// Runs a chain without plug-ins, of which the first is at `first` in the whole one.
    Result<MaterialPtr> run(const SignalRecipe& recipe, size_t first) {
        const std::shared_ptr<Signal> signal = Signal::to_make(recipe_, recipe, first, false);
        auto made = signal->making_->finish(progress_);
        if (!made) return tl::unexpected(made.error());
        auto material = unmeasured(recipe, signal->frames_, signal);
        set_figures(*material, std::move(*made), recipe);
        return MaterialPtr(std::move(material));
    }

    const SignalRecipe recipe_;
    Progress* const progress_;
};

std::string Signal::fault(size_t place) const { return place < faults_.size() ? faults_[place] : ""; }

Result<MaterialPtr> make_signal(const SignalRecipe& recipe, Progress* progress) {
    return without_exceptions({}, [&] { return SignalMaker(recipe, progress).make(); });
}

std::optional<BegunSignal> BegunSignal::begin(const SignalRecipe& recipe) {
    if (last_plugin(recipe)) return std::nullopt;
    const auto signal = Signal::to_make(recipe, recipe, 0, false);
    BegunSignal begun;
    begun.material_ = unmeasured(recipe, signal->frames_, signal);
    return begun;
}

Result<MaterialPtr> BegunSignal::finish(Progress* progress) const {
    return without_exceptions({}, [&]() -> Result<MaterialPtr> {
        const Signal& signal = *material_->signal;
        auto made = signal.making_->finish(progress);
        if (!made) return tl::unexpected(made.error());
        set_figures(*material_, std::move(*made), signal.recipe_);
        return MaterialPtr(material_);
    });
}

MaterialPtr stream_signal(const SignalRecipe& recipe) {
    if (last_plugin(recipe)) return nullptr;
    const auto signal = Signal::to_make(recipe, recipe, 0, true);
    return unmeasured(recipe, signal->frames_, signal);
}

StreamsAhead::StreamsAhead(std::vector<MaterialPtr> streamed, int workers) : streamed_(std::move(streamed)) {
    const auto work = [this](const std::stop_token& stop) {
        while (!stop.stop_requested()) {
            bool any = false;
            for (const MaterialPtr& m : streamed_) any |= !stop.stop_requested() && m->signal->making_->go_ahead();
            // Who reads takes longer than this for a piece.  What fails is told by whoever reads it.
            if (!any) std::this_thread::sleep_for(std::chrono::microseconds(500));
        }
    };
    for (int n = 0; n < workers && !streamed_.empty(); ++n) threads_.emplace_back(work);
}

MaterialPtr provisional_signal(const SignalRecipe& recipe) {
    auto signal = std::make_shared<Signal>();
    signal->recipe_ = signal->run_ = recipe;
    signal->key_ = signal_key(recipe);
    signal->provisional_ = true;
    signal->frames_ = frames_of(recipe);
    return unmeasured(recipe, signal->frames_, signal);
}

}  // namespace isotonus
