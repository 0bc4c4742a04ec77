#include "core/foreign/plugin_running.h"

#include <algorithm>
#include <array>
#include <utility>

#include "core/foreign/host_process.h"
#include "core/foreign/plugins.h"

namespace isotonus {

namespace {

using foreign::batch_frames, foreign::run_frames;

class PluginRunning final : public Running {
  public:
    PluginRunning(std::string type, int channels, double rate)
        : type_(std::move(type)),
          channels_(channels),
          rate_(rate),
          audio_(static_cast<size_t>(batch_frames * channels)) {
        for (const Plugin& p : known_plugins())
            if (p.uri == uri_of_type(type_) && p.type && !p.missing && p.may_run)
                what_ = {p.uri, p.bundle, plugin_version(type_), p.symbols};
    }
    ~PluginRunning() override { foreign::HostProcess::give_back(std::move(process_)); }

    void set(std::span<const double> values) override {
        values_.assign(values.begin(), values.end());
        // It is started by the first values: its latency may follow from them.
        if (!once_started_) start();
    }
    void restart() override {
        at_ = 0;
        std::fill(audio_.begin(), audio_.end(), 0.0f);
        if (used_) start();
    }
    void process(float* cell, int frames, const float*, int) override {
        used_ = true;
        if (at_ % run_frames == 0) values_of_runs_[static_cast<size_t>(at_ / run_frames)] = values_;
        // What the last batch made goes out, and what comes in takes its place.
        const auto samples = static_cast<std::ptrdiff_t>(frames * channels_);
        std::swap_ranges(cell, cell + samples, audio_.begin() + at_ * channels_);
        at_ += frames;
        if (at_ < batch_frames) return;
        at_ = 0;
        if (!process_) return;
        const InEnglish english;  // so is a fault kept
        auto done = run_batch();
        if (!done && process_->died() && !std::exchange(begun_again_, true)) {
            start();
            done = process_ ? run_batch() : Result<void>();
        }
        if (done) return;
        take_out_plugin(type_, done.error().what);
        process_.reset();
    }
    bool begun_again() const override { return begun_again_; }
    int latency() const override { return batch_frames + late_; }
    std::span<std::byte> memory() override { return {}; }
    float reduction_db(int) const override { return 0.0f; }
    std::complex<double> response(double) const override { return 1.0; }

  private:
    Result<void> run_batch() {
        for (int run = 0; run < foreign::batch_runs; ++run)
            process_->set(run, values_of_runs_[static_cast<size_t>(run)]);
        return process_->process(audio_.data());
    }
    void start() {
        used_ = false;
        foreign::HostProcess::give_back(std::move(process_));
        if (what_.uri.empty()) {  // missing
            once_started_ = true;
            return;
        }
        const InEnglish english;
        auto process = foreign::HostProcess::take(what_, channels_, rate_, values_);
        if (process && !once_started_) late_ = (*process)->latency();
        once_started_ = true;
        if (!process)
            take_out_plugin(type_, process.error().what);
        else if ((*process)->latency() != late_)
            take_out_plugin(type_, translated("the plug-in changes its latency while it runs"));
        else
            process_ = std::move(*process);
    }

    std::string type_;
    foreign::PluginToRun what_;
    int channels_;
    double rate_;
    std::vector<float> audio_;  ///< the next batch as it comes in, before it the last one as it goes out
    std::vector<double> values_;
    std::array<std::vector<double>, foreign::batch_runs> values_of_runs_;  ///< of the batch that comes in
    std::unique_ptr<foreign::HostProcess> process_;
    int at_ = 0, late_ = 0;
    bool once_started_ = false, used_ = false, begun_again_ = false;
};

}  // namespace

std::unique_ptr<Running> start_plugin(const Processor& processor, int channels, double sample_rate) {
    return std::make_unique<PluginRunning>(processor.type, channels, sample_rate);
}

}  // namespace isotonus
