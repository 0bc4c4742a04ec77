#include "cli/play.h"

#include <chrono>
#include <thread>

#include "engine/engine.h"

namespace isotonus {

Result<nlohmann::json> play(const PlanPtr& plan, const std::string& device, double seconds) {
    using namespace std::chrono;
    if (plan->frames == 0) return fail("", std::string("the session is empty. Add tracks first."));
    Engine engine;
    engine.set_plan(plan);
    engine.set_loop(0, plan->frames);
    if (auto opened = engine.open(device, plan->sample_rate, 256); !opened) return tl::unexpected(opened.error());
    engine.play();
    float peak = 0.0f;
    const auto until = steady_clock::now() + duration<double>(seconds);
    while (steady_clock::now() < until) {
        std::this_thread::sleep_for(milliseconds(20));
        const LiveLevels levels = engine.levels();
        peak = std::max({peak, levels.main_peak[0], levels.main_peak[1]});
        if (const auto lost = engine.watch()) return fail(device, *lost);
    }
    engine.stop();
    if (const std::string trouble = engine.trouble(); !trouble.empty()) return fail("", trouble);
    const Service s = engine.service();
    const Level peak_dbfs = level_from_gain(static_cast<double>(peak));
    return nlohmann::json{{"device", engine.device()->name()},
                          {"sounding", engine.device()->sounding()},
                          {"blocks", s.blocks},
                          {"block_frames", engine.device()->block_frames()},
                          {"sample_rate", plan->sample_rate},
                          {"late_blocks", s.late_blocks},
                          {"load_median", s.load_median},
                          {"load_max", s.load_max},
                          {"sample_peak_dbfs", peak_dbfs ? nlohmann::json(*peak_dbfs) : nlohmann::json(nullptr)}};
}

}  // namespace isotonus
