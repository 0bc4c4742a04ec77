#include "core/mix/sum_of_rows.h"

#include <fmt/format.h>

#include <algorithm>

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

class SumOfRows : public SampleMaker {
  public:
    explicit SumOfRows(PlanPtr plan) : plan(std::move(plan)) {}
    Result<std::unique_ptr<FrameReader>> open() const override { return SumReader::open(plan); }
    std::string key() const override {
        std::string key = fmt::format("sum {}", plan->sample_rate);
        for (const PlanPart& p : plan->parts) {
            if (!p.heard() || p.through_chain) continue;
            key += fmt::format("\n{} {} {}", material_key(*p.material), p.delay_samples, p.output);
            add_key(key, p);
        }
        for (const PlanBus& b : plan->buses) {
            key += fmt::format("\nto {}", b.output);
            add_key(key, b);
        }
        return Hash::name_of(key);
    }
    const PlanPtr plan;
};

}  // namespace

MaterialPtr sum_of_rows(PlanPtr plan) {
    auto material = std::make_shared<Material>();
    material->ready.rate = plan->sample_rate;
    material->ready.channels = 2;
    material->ready.frames = plan->frames;
    material->recorded.channels = 2;
    material->recorded.sample_rate = plan->sample_rate;
    material->maker = std::make_shared<const SumOfRows>(std::move(plan));
    return material;
}

PlanPtr summed_plan(const Material& material) {
    const auto* sum = dynamic_cast<const SumOfRows*>(material.maker.get());
    return sum ? sum->plan : nullptr;
}

namespace {

bool is_known(const Material& material) {
    if (const PlanPtr plan = summed_plan(material)) return isotonus::is_known(*plan);
    return !material.signal || !material.signal->is_provisional();
}

}  // namespace

bool is_known(const RenderPlan& plan) {
    return std::all_of(plan.parts.begin(), plan.parts.end(), [](const PlanPart& p) { return is_known(*p.material); });
}

bool is_known(const SignalRecipe& recipe) {
    return is_known(*recipe.source.material) &&
           std::all_of(recipe.keys.begin(), recipe.keys.end(),
                       [](const auto& key) { return is_known(*key.second.material); });
}

}  // namespace isotonus
