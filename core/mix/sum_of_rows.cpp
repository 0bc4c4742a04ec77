#include "core/mix/sum_of_rows.h"

#include <fmt/format.h>

#include <algorithm>
#include <condition_variable>
#include <deque>
#include <mutex>
#include <thread>

#include "core/files/hash.h"
#include "core/mix/mixdown.h"

namespace isotonus {

namespace {

class SumReader : public FrameReader {
  public:
    static Result<std::unique_ptr<FrameReader>> open(const PlanPtr& plan) {
        auto reader = PlanReader::open(plan, true);
        if (!reader) return tl::unexpected(reader.error());
        return std::unique_ptr<FrameReader>(new SumReader(plan, std::move(*reader)));
    }
    int channels() const override { return 2; }
    Result<void> read(int64_t first, int64_t frames, float* out) override {
        constexpr int64_t most = 4096;
        const int64_t end = renderer_.plan().frames;
        for (int64_t done = 0; done < frames;) {
            const int64_t at = first + done;
            int64_t part = frames - done;
            if (at < 0 || at >= end) {
                if (at < 0) part = std::min(part, -at);
                std::fill_n(out + 2 * done, 2 * part, 0.0f);
            } else {
                part = std::min({part, most, end - at});
                const auto inputs = reader_.read(at, part);
                if (!inputs) return tl::unexpected(inputs.error());
                renderer_.process(at, part, *inputs, out + 2 * done);
            }
            done += part;
        }
        return {};
    }

  private:
    SumReader(const PlanPtr& plan, PlanReader reader) : reader_(std::move(reader)), renderer_(plan) {}
    PlanReader reader_;
    Renderer renderer_;
};

/// For one who reads all of a sum from its start on: rendered ahead on another thread, while what was read is worked
/// on.
class AheadReader : public FrameReader {
  public:
    explicit AheadReader(PlanPtr plan) : plan_(std::move(plan)) {
        thread_ = std::jthread([this](const std::stop_token& stop) {
            const auto done = without_exceptions({}, [&] { return read_all(stop); });
            std::scoped_lock lock(mutex_);
            if (!done) error_ = done.error();
            ended_ = true;
            changed_.notify_all();
        });
    }
    ~AheadReader() override {
        thread_.request_stop();
        const std::scoped_lock lock(mutex_);
        changed_.notify_all();
    }
    int channels() const override { return 2; }

    Result<void> read(int64_t first, int64_t frames, float* out) override {
        // Anywhere else than where the last read ended: by itself, to the same bits.
        if (first != next_) {
            if (!other_) {
                auto opened = SumReader::open(plan_);
                if (!opened) return tl::unexpected(opened.error());
                other_ = std::move(*opened);
            }
            return other_->read(first, frames, out);
        }
        next_ += frames;
        for (int64_t left = 2 * frames; left > 0;) {
            if (taken_ == piece_.size()) {
                std::unique_lock lock(mutex_);
                changed_.wait(lock, [this] { return ended_ || !pieces_.empty(); });
                if (error_) return tl::unexpected(*error_);
                if (pieces_.empty()) {  // the song has ended
                    std::fill_n(out, left, 0.0f);
                    return {};
                }
                piece_ = std::move(pieces_.front());
                pieces_.pop_front();
                taken_ = 0;
                changed_.notify_all();
            }
            const auto count = std::min<size_t>(static_cast<size_t>(left), piece_.size() - taken_);
            out = std::copy_n(piece_.begin() + static_cast<std::ptrdiff_t>(taken_), count, out);
            taken_ += count;
            left -= static_cast<int64_t>(count);
        }
        return {};
    }

  private:
    Result<void> read_all(const std::stop_token& stop) {
        // As much as stays in the processor's cache: others may read the same rows at about the same place.
        constexpr int64_t piece_frames = 4096;
        constexpr size_t most = 4;
        auto reader = SumReader::open(plan_);
        if (!reader) return tl::unexpected(reader.error());
        for (int64_t at = 0; at < plan_->frames; at += piece_frames) {
            std::vector<float> piece(static_cast<size_t>(2 * std::min(piece_frames, plan_->frames - at)));
            if (auto read = (*reader)->read(at, std::ssize(piece) / 2, piece.data()); !read) return read;
            std::unique_lock lock(mutex_);
            changed_.wait(lock, [&] { return stop.stop_requested() || pieces_.size() < most; });
            if (stop.stop_requested()) return stopped();
            pieces_.push_back(std::move(piece));
            changed_.notify_all();
        }
        return {};
    }

    const PlanPtr plan_;
    int64_t next_ = 0;
    std::vector<float> piece_;
    size_t taken_ = 0;
    std::unique_ptr<FrameReader> other_;
    std::mutex mutex_;
    std::condition_variable changed_;
    std::deque<std::vector<float>> pieces_;
    std::optional<Error> error_;
    bool ended_ = false;
    std::jthread thread_;  ///< the last: it is joined before the rest goes
};

void add_key(std::string& key, const Curve& curve) {
    for (const RidePoint& p : curve.points)
        key += fmt::format(" {} {} {} {}", p.time_s, p.value, static_cast<int>(p.segment), p.bend);
}

void add_key(std::string& key, const RowGains& row) {
    const GainMatrix& g = row.gains;
    key += fmt::format("\n{} {} {} {}", g.left_from_left, g.left_from_right, g.right_from_left, g.right_from_right);
    if (!row.ridden()) return;
    key += fmt::format(" {} {} {} {} {} {}", row.level, static_cast<int>(row.law), row.channels, row.pan, row.width,
                       row.apart);
    const auto add = [&key](const char* what, const CurvePtr& curve) {
        if (!curve) return;
        key += what;
        add_key(key, *curve);
    };
    for (const CurvePtr& c : row.level_rides) add("\nlevel", c);
    for (const CurvePtr& c : row.gates) add("\ngate", c);
    add("\npan", row.pan_ride);
    add("\nwidth", row.width_ride);
}

class SumOfRows : public Playable {
  public:
    explicit SumOfRows(PlanPtr plan) : plan(std::move(plan)) {}
    int channels() const override { return 2; }
    int rate() const override { return plan->sample_rate; }
    int64_t frames() const override { return plan->frames; }
    const ReadySource& origin() const override {
        static const ReadySource none;
        return none;
    }
    Result<std::unique_ptr<FrameReader>> open() const override { return SumReader::open(plan); }
    Result<std::unique_ptr<FrameReader>> open_ahead() const override {
        if (workers_allowed()) return open();
        return std::unique_ptr<FrameReader>(std::make_unique<AheadReader>(plan));
    }
    std::string content_key() const override {
        // A row that is muted is part of how long the sum is.
        std::string key = fmt::format("sum {} {}", plan->sample_rate, plan->frames);
        for (const PlanPart& p : plan->parts) {
            if (!p.heard() || p.through_chain) continue;
            key += fmt::format("\n{} {} {}", p.material->sound->content_key(), p.delay_samples, p.output);
            add_key(key, p);
        }
        for (const PlanBus& b : plan->buses) {
            key += fmt::format("\nto {}", b.output);
            add_key(key, b);
        }
        return "made " + Hash::name_of(key);
    }
    bool is_exact() const override { return is_known(*plan); }
    Result<void> unchanged(Seen& seen) const override {
        return seen.insert(this).second ? sources_unchanged(*plan, seen) : Result<void>();
    }
    const PlanPtr plan;
};

}  // namespace

MaterialPtr sum_of_rows(PlanPtr plan) {
    auto material = std::make_shared<Material>();
    material->recorded.channels = 2;
    material->recorded.sample_rate = plan->sample_rate;
    material->sound = std::make_shared<const SumOfRows>(std::move(plan));
    return material;
}

PlanPtr summed_plan(const Material& material) {
    const auto* sum = dynamic_cast<const SumOfRows*>(material.sound.get());
    return sum ? sum->plan : nullptr;
}

Result<void> sources_unchanged(const RenderPlan& plan, Playable::Seen& seen) {
    for (const PlanTrack& t : plan.tracks)
        if (auto same = t.material->sound->unchanged(seen); !same) return same;
    for (const PlanPart& p : plan.parts)
        if (auto same = p.material->sound->unchanged(seen); !same) return same;
    return {};
}

Result<void> sources_unchanged(const RenderPlan& plan) {
    Playable::Seen seen;
    return sources_unchanged(plan, seen);
}

bool is_known(const RenderPlan& plan) {
    return std::all_of(plan.parts.begin(), plan.parts.end(),
                       [](const PlanPart& p) { return p.material->sound->is_exact(); });
}

bool is_known(const SignalRecipe& recipe) {
    return recipe.source.material->sound->is_exact() &&
           std::all_of(recipe.keys.begin(), recipe.keys.end(),
                       [](const auto& key) { return key.second.material->sound->is_exact(); });
}

}  // namespace isotonus
