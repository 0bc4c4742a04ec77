// The plug-in host, as seen from this side: a process for each plug-in that runs.
#pragma once

#include <sys/types.h>

#include <memory>
#include <span>
#include <string>
#include <vector>

#include "core/files/file_steps.h"
#include "core/foreign/protocol.h"
#include "core/result.h"

namespace isotonus::foreign {

/// The host program: beside this one (or above it, in a build tree), or where it was installed;
/// $ISOTONUS_PLUGIN_HOST goes before.
fs::path host_program();

/// What to run.
struct PluginToRun {
    std::string uri, bundle;
    std::string version;               ///< of the plug-in's files: a process that loaded others is not taken again
    std::vector<std::string> symbols;  ///< control ports, in the order of values
    bool operator==(const PluginToRun&) const = default;
};

/// A plug-in that runs in a process of its own.  Whatever goes wrong with it is told as a sentence; the process is
/// ended then.  Not safe to share between threads.
class HostProcess {
  public:
    /// One that was given back, if there is one that runs the same, else a new one; with nothing remembered.  `values`
    /// are those it begins with.  Fails when it cannot be started, crashes, or takes longer than 10 s.
    static Result<std::unique_ptr<HostProcess>> take(const PluginToRun& what, int channels, double sample_rate,
                                                     std::span<const double> values);
    /// It may be taken again: starting one takes longer than going on with one.
    static void give_back(std::unique_ptr<HostProcess> process);

    /// Ends all that run now, whoever uses them.
    static void end_all();

    ~HostProcess();
    HostProcess(const HostProcess&) = delete;
    HostProcess& operator=(const HostProcess&) = delete;

    int latency() const { return latency_; }
    /// It crashed, was killed, or ended: not by what it answered, nor because it took too long.
    bool died() const { return died_; }
    /// Values of the run of that number in the batch.
    void set(int run, std::span<const double> values);
    /// batch_frames frames, interleaved, in place.  Fails when it crashes, takes longer than 5 s, or what comes out is
    /// no number.
    Result<void> process(float* audio);

  private:
    HostProcess(PluginToRun what, int channels, double rate)
        : what_(std::move(what)), channels_(channels), rate_(rate) {}
    Result<void> spawn();
    Result<void> start(std::span<const double> values);
    Result<Answer> ask(const Question& question, int max_ms);
    enum class Came { all, nothing, end };
    Came receive(Answer& answer, int max_ms) const;
    void end_it();
    std::string how_it_ended();

    PluginToRun what_;
    int channels_;
    double rate_;
    int latency_ = 0;
    bool died_ = false;
    pid_t pid_ = -1;
    int socket_ = -1;
    Shared* shared_ = nullptr;
};

}  // namespace isotonus::foreign
