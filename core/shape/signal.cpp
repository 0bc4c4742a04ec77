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

namespace isotonus {

namespace {

constexpr int64_t block_frames = LevelSummary::block_frames;
constexpr int64_t read_frames = 4096;  ///< of a source at once

/// Until its source has ended, and what its chain makes of it has died away.
int64_t frames_of(const SignalRecipe& recipe) {
    return recipe.source.end() +
           static_cast<int64_t>(std::ceil(tail_s(recipe.chain, recipe.rides) * recipe.sample_rate));
}

/// A row's samples before its fader, at any frame of the song.
class TapReader {
  public:
    /// `in_order`: it will be read once, from its start on.
    static Result<TapReader> open(const RowTap& tap, bool in_order = false) {
        TapReader reader;
        reader.tap_ = &tap;
        auto opened = in_order && tap.material->maker
                          ? Result<std::unique_ptr<FrameReader>>(tap.material->maker->open_ahead())
                          : open_material(*tap.material);
        if (!opened) return tl::unexpected(opened.error());
        reader.reader_ = std::move(*opened);
        return reader;
    }
    int channels() const { return tap_->channels(); }

    /// Samples from a frame of the song on; before its start they are silent.
    Result<void> read(int64_t first, int64_t frames, float* out) {
        const auto channels = static_cast<size_t>(tap_->channels());
        for (int64_t done = 0; done < frames;) {
            const int64_t at = first + done;
            if (at < held_from_ || at >= held_from_ + read_frames || held_.empty()) {
                held_from_ =
                    at >= 0 ? at / read_frames * read_frames : -((-at + read_frames - 1) / read_frames) * read_frames;
                if (auto read = fill(); !read) return read;
            }
            const int64_t inside = at - held_from_, part = std::min(frames - done, read_frames - inside);
            std::memcpy(out + static_cast<size_t>(done) * channels,
                        held_.data() + static_cast<size_t>(inside) * channels,
                        static_cast<size_t>(part) * channels * sizeof(float));
            done += part;
        }
        return {};
    }

  private:
    Result<void> fill() {
        const RowTap& t = *tap_;
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
            level_ride_gains(*t.trim_ride, t.material->ready.rate, std::max<int64_t>(0, held_from_), read_frames,
                             gains);
            for (size_t i = 0; i < held_.size(); ++i)
                held_[i] = static_cast<float>(static_cast<double>(held_[i]) * t.gain * gains[i / channels]);
        } else if (t.gain != 1.0) {
            const auto gain = static_cast<float>(t.gain);
            for (float& x : held_) x *= gain;
        }
        return {};
    }

    const RowTap* tap_ = nullptr;
    std::unique_ptr<FrameReader> reader_;
    std::vector<float> held_;
    int64_t held_from_ = 0;
};

/// Sources of a chain and the chain itself, run cell by cell.
class SignalRun {
  public:
    static Result<SignalRun> open(const SignalRecipe& recipe, bool in_order = false) {
        auto source = TapReader::open(recipe.source, in_order);
        if (!source) return tl::unexpected(source.error());
        SignalRun run(recipe, std::move(*source));
        for (const ChainRun::KeyTap& key : run.chain.keys()) {
            const RowTap* tap = key.judged ? &recipe.judged_by.at(*key.judged) : nullptr;
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

    /// Processes cells from this one on, which must be the one that the chain expects, into `out`.
    Result<void> process(int64_t cell, int cells, float* out) {
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

    ChainRun chain;

  private:
    SignalRun(const SignalRecipe& recipe, TapReader source)
        : chain(recipe.chain, recipe.rides, recipe.source.channels(), recipe.sample_rate, judged_places(recipe)),
          source_(std::move(source)) {}
    static std::set<size_t> judged_places(const SignalRecipe& recipe) {
        std::set<size_t> places;
        for (const auto& [place, tap] : recipe.judged_by) places.insert(place);
        return places;
    }
    TapReader source_;
    std::vector<std::optional<TapReader>> key_readers_;
    std::vector<std::vector<float>> key_cells_;
    std::vector<const float*> key_inputs_;
    std::vector<int> key_channels_;
};

}  // namespace

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
        const int64_t spacing =
            signal_->is_provisional() ? signal_->recipe_.sample_rate / cell_frames : signal_->spacing_cells_;
        if (next_ < 0 || cell < next_ || cell - next_ > spacing) start_before(cell, spacing);
        for (; next_ <= cell; next_ += held_cells_) {
            held_cells_ = std::min<int64_t>(stretch_cells, last + 1 - next_);
            if (auto done = run_.process(next_, static_cast<int>(held_cells_), held_.data()); !done) return done;
        }
        return {};
    }

    /// From the checkpoint; without one from as far back, with nothing remembered.
    void start_before(int64_t cell, int64_t spacing) {
        if (signal_->is_provisional()) {
            next_ = std::max<int64_t>(0, cell - spacing);
            run_.chain.begin(next_);
            return;
        }
        const int64_t n = cell / spacing;
        next_ = n * spacing;
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

/// Reads what was kept of a signal.
class KeptReader : public FrameReader {
  public:
    explicit KeptReader(std::shared_ptr<const Signal> signal) : signal_(std::move(signal)) {}
    int channels() const override { return signal_->recipe_.source.channels(); }
    Result<void> read(int64_t first, int64_t frames, float* out) override {
        const int64_t end = signal_->frames_, wide = channels();
        const int64_t from = std::clamp<int64_t>(first, 0, end), to = std::clamp<int64_t>(first + frames, from, end);
        if (to == from) {
            std::fill_n(out, frames * wide, 0.0f);
            return {};
        }
        std::fill_n(out, (from - first) * wide, 0.0f);
        std::fill_n(out + (to - first) * wide, (first + frames - to) * wide, 0.0f);
        if (!signal_->kept_->read(from * wide, out + (from - first) * wide, (to - from) * wide))
            return fail(cache_folder().string(), said("what was kept there cannot be read again"));
        return {};
    }
    const float* view(int64_t first, int64_t frames) override {
        const float* const all = signal_->kept_->mapped();
        return all && first >= 0 && first + frames <= signal_->frames_ ? all + first * channels() : nullptr;
    }

  private:
    std::shared_ptr<const Signal> signal_;
};

Result<std::unique_ptr<FrameReader>> open_running(const std::shared_ptr<const Signal>& signal) {
    return SignalReader::open(signal);
}

Result<std::unique_ptr<FrameReader>> open_material(const Material& material) {
    if (material.maker) return material.maker->open();
    if (!material.signal) return open_source(material.ready);
    Result<std::unique_ptr<FrameReader>> whole =
        material.signal->kept_ ? Result<std::unique_ptr<FrameReader>>(std::make_unique<KeptReader>(material.signal))
                               : open_running(material.signal);
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

/// The deepest reduction of each step of a chain in each block of the song.
class ReductionWatch {
  public:
    ReductionWatch(const SignalRecipe& recipe, const ChainRun& chain, int64_t frames)
        : chain_(chain), by_place(recipe.chain.size()) {
        const auto blocks = static_cast<size_t>((frames + block_frames - 1) / block_frames);
        for (size_t s = 0; s < chain.steps(); ++s)
            if (turns_down(*processor_type(recipe.chain[chain.place_of(s)].type)))
                by_place[chain.place_of(s)].assign(blocks, 0.0f);
    }
    /// Of the cells from this one on, which were processed last.
    void note(int64_t first, int cells) {
        for (size_t s = 0; s < chain_.steps(); ++s) {
            auto& list = by_place[chain_.place_of(s)];
            if (list.empty()) continue;
            for (int n = 0; n < cells; ++n) {
                const int64_t frame = std::max<int64_t>(0, (first + n) * cell_frames - chain_.latency());
                if (const auto block = static_cast<size_t>(frame / block_frames); block < list.size())
                    list[block] = std::min(list[block], chain_.reduction_db(s, n));
            }
        }
    }

  private:
    const ChainRun& chain_;

  public:
    std::vector<std::vector<float>> by_place;
};

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
            watch.note(cell, some);
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

MaterialPtr provisional_signal(const SignalRecipe& recipe) {
    auto signal = std::make_shared<Signal>();
    signal->recipe_ = signal->run_ = recipe;
    signal->key_ = signal_key(recipe);
    signal->provisional_ = true;
    signal->frames_ = frames_of(recipe);
    auto material = std::make_shared<Material>();
    material->ready = recipe.source.material->ready;
    material->ready.frames = signal->frames_;
    material->recorded = recipe.source.material->recorded;
    material->signal = std::move(signal);
    return material;
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

/// Makes a signal: as a whole, or on top of what a plug-in in its chain makes.
class SignalMaker {
  public:
    SignalMaker(const SignalRecipe& recipe, Progress* progress) : recipe_(recipe), progress_(progress) {}

    Result<MaterialPtr> make() {
        const Chain& chain = recipe_.chain;
        for (size_t place = chain.size(); place-- > 0;)
            if (is_plugin(chain[place].type) && does_anything({chain[place]}, recipe_.rides)) return make_after(place);
        return run(recipe_, 0);
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
        return material_of(recipe, measurer.finish(), std::move(signal));
    }

    static MaterialPtr material_of(const SignalRecipe& recipe, Measurer::Outcome outcome,
                                   std::shared_ptr<Signal> signal) {
        const Material& before = *recipe.source.material;
        auto material = std::make_shared<Material>();
        material->ready = before.ready;
        material->ready.frames = signal->frames_;
        material->recorded = before.recorded;
        outcome.measurement.kind = before.measurement.kind;
        material->measurement = std::move(outcome.measurement);
        material->summary = std::move(outcome.summary);
        material->hops = std::move(outcome.hops);
        material->signal = std::move(signal);
        return material;
    }

    /// Runs a chain without plug-ins, of which the first is at `first` in the whole one.
    Result<MaterialPtr> run(const SignalRecipe& recipe, size_t first) {
        auto signal = std::make_shared<Signal>();
        signal->recipe_ = recipe_;
        signal->run_ = recipe;
        signal->frames_ = frames_of(recipe);
        signal->key_ = signal_key(recipe_);
        auto opened = SignalRun::open(signal->run_, true);
        if (!opened) return tl::unexpected(opened.error());
        SignalRun& run = *opened;
        ChainRun& chain = run.chain;
        const int channels = recipe.source.channels();
        signal->state_bytes_ = chain.memory_bytes();
        // Every 4096 frames; less often where much is remembered, so that a minute takes no more than a megabyte or so.
        signal->spacing_cells_ = 4096 / cell_frames * static_cast<int64_t>(1 + signal->state_bytes_ / 1536);
        const int64_t late = chain.latency(), cells = (signal->frames_ + late + cell_frames - 1) / cell_frames;
        ReductionWatch watch(recipe, chain, signal->frames_);
        chain.watch();
        Measurer measurer(channels, recipe.sample_rate, 1.0f);
        signal->kept_ = Spooled::reserve(signal->frames_ * channels);
        int64_t kept = 0;
        constexpr int64_t whole_piece = 4096;
        std::vector<float> piece(static_cast<size_t>((whole_piece + stretch_frames) * channels));
        int64_t left_out = late, rest = signal->frames_, filled = 0;
        chain.begin(0);
        static_assert(4096 / cell_frames % stretch_cells == 0, "checkpoints lie between stretches");
        for (int64_t cell = 0; cell < cells; cell += stretch_cells) {
            if (cell % signal->spacing_cells_ == 0) {
                if (progress_ && progress_->cancelled()) return stopped();
                if (progress_) progress_->report(static_cast<double>(cell) / static_cast<double>(cells));
                const auto memory = chain.memory();
                signal->checkpoints_.insert(signal->checkpoints_.end(), memory.begin(), memory.end());
            }
            float* const out = piece.data() + filled * channels;
            const int some = static_cast<int>(std::min<int64_t>(stretch_cells, cells - cell));
            if (auto done = run.process(cell, some, out); !done) return tl::unexpected(done.error());
            watch.note(cell, some);
            const int64_t skip = std::min<int64_t>(left_out, some * cell_frames),
                          take = std::min(some * cell_frames - skip, rest);
            left_out -= skip;
            rest -= take;
            if (skip > 0) std::copy_n(out + skip * channels, take * channels, out);
            filled += take;
            if (filled < whole_piece && rest > 0) continue;
            const int64_t samples = std::exchange(filled, 0) * channels;
            measurer.add(piece.data(), samples / channels);
            if (signal->kept_ && !signal->kept_->write(kept, piece.data(), samples)) signal->kept_.reset();
            kept += samples;
        }
        signal->checkpoints_.shrink_to_fit();
        const size_t places = recipe_.chain.size();
        signal->reductions_.resize(places);
        for (size_t n = 0; n < watch.by_place.size(); ++n)
            signal->reductions_[first + n] = std::move(watch.by_place[n]);
        signal->passed_.resize(places);
        for (size_t n = 0; n < chain.steps(); ++n) signal->passed_[first + chain.place_of(n)] = chain.passed(n);
        signal->faults_.resize(places);
        for (size_t n = 0; n < chain.steps(); ++n) signal->faults_[first + chain.place_of(n)] = chain.fault(n);
        return material_of(recipe, measurer.finish(), std::move(signal));
    }

    const SignalRecipe recipe_;
    Progress* const progress_;
};

std::string Signal::fault(size_t place) const { return place < faults_.size() ? faults_[place] : ""; }

Result<MaterialPtr> make_signal(const SignalRecipe& recipe, Progress* progress) {
    return without_exceptions({}, [&] { return SignalMaker(recipe, progress).make(); });
}

}  // namespace isotonus
