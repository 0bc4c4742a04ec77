#include "core/foreign/host_process.h"

#include <fcntl.h>
#include <poll.h>
#include <signal.h>
#include <spawn.h>
#include <sys/mman.h>
#include <sys/socket.h>
#include <sys/wait.h>
#include <unistd.h>

#include <chrono>
#include <cmath>
#include <cstring>
#include <mutex>
#include <nlohmann/json.hpp>
#include <set>

#include "core/files/paths.h"

#ifndef ISOTONUS_LIBEXEC
#define ISOTONUS_LIBEXEC "/usr/libexec"
#endif

namespace isotonus::foreign {

namespace {

constexpr int start_ms = 10000, batch_ms = 5000;
constexpr size_t max_idle = 8;

struct Idle {
    std::mutex mutex;
    std::vector<std::unique_ptr<HostProcess>> all;
};

Idle& idle() {
    static Idle processes;
    return processes;
}

/// Those that run, by their ids; guarded so that none is ended whose id the system has given to another meanwhile.
struct Running {
    std::mutex mutex;
    std::set<pid_t> all, ended;  ///< ended: by this program's wish
};

Running& running() {
    static Running* const processes = new Running;  // never destroyed: those that are idle end after it
    return *processes;
}

/// How it ended, and whether it was by this program's wish.
std::pair<int, bool> wait_for(pid_t pid) {
    int status = 0;
    kill(pid, SIGKILL);
    const std::scoped_lock lock(running().mutex);
    waitpid(pid, &status, 0);
    running().all.erase(pid);
    return {status, running().ended.erase(pid) > 0};
}

}  // namespace

fs::path host_program() {
    if (const char* const named = std::getenv("ISOTONUS_PLUGIN_HOST")) return named;
    std::error_code problem;
    fs::path folder = fs::read_symlink("/proc/self/exe", problem).parent_path();
    for (int up = 0; up < 3 && !folder.empty(); ++up, folder = folder.parent_path())
        if (is_there(folder / "isotonus-plugin-host")) return folder / "isotonus-plugin-host";
    return fs::path(ISOTONUS_LIBEXEC) / "isotonus-plugin-host";
}

Result<void> HostProcess::spawn() {
    const fs::path program = host_program();
    if (!is_there(program))
        return fail(program.string(), translated("the plug-in host is missing. Install the package again."));
    int ends[2] = {-1, -1};
    const int memory = memfd_create("isotonus-plugin", MFD_CLOEXEC | MFD_ALLOW_SEALING);
    // Sealed, so that what runs there cannot cut it short under this program's hands.
    if (memory < 0 || ftruncate(memory, sizeof(Shared)) != 0 ||
        fcntl(memory, F_ADD_SEALS, F_SEAL_SHRINK | F_SEAL_GROW | F_SEAL_SEAL) != 0 ||
        socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0, ends) != 0) {
        if (memory >= 0) close(memory);
        return fail(program.string(), translated("the memory is too small for another plug-in. Close other programs."));
    }
    void* const mapped = mmap(nullptr, sizeof(Shared), PROT_READ | PROT_WRITE, MAP_SHARED, memory, 0);
    // The handles get their numbers by way of others, so that none is closed by the one that takes its place.
    const int other_end = fcntl(ends[1], F_DUPFD_CLOEXEC, 10), other_memory = fcntl(memory, F_DUPFD_CLOEXEC, 10);
    posix_spawn_file_actions_t actions;
    posix_spawn_file_actions_init(&actions);
    posix_spawn_file_actions_adddup2(&actions, other_end, socket_handle);
    posix_spawn_file_actions_adddup2(&actions, other_memory, memory_handle);
    const std::string path = program.string();
    char* const arguments[] = {const_cast<char*>(path.c_str()), const_cast<char*>("--run"), nullptr};
    const int problem =
        mapped == MAP_FAILED ? ENOMEM : posix_spawn(&pid_, path.c_str(), &actions, nullptr, arguments, environ);
    posix_spawn_file_actions_destroy(&actions);
    for (const int handle : {ends[1], memory, other_end, other_memory}) close(handle);
    socket_ = ends[0];
    if (mapped != MAP_FAILED) shared_ = static_cast<Shared*>(mapped);
    if (problem == 0) {
        const std::scoped_lock lock(running().mutex);
        running().all.insert(pid_);
        return {};
    }
    pid_ = -1;
    return fail(
        path, translate("the plug-in host cannot be started: {}. Install the package again.", std::strerror(problem)));
}

HostProcess::~HostProcess() {
    if (socket_ >= 0) close(socket_);
    if (pid_ > 0) wait_for(pid_);
    if (shared_) munmap(shared_, sizeof(Shared));
}

void HostProcess::end_it() {
    wait_for(pid_);
    pid_ = -1;
}

void HostProcess::end_all() {
    const std::scoped_lock lock(running().mutex);
    for (const pid_t pid : running().all) kill(pid, SIGKILL);
    running().ended = running().all;
}

std::string HostProcess::how_it_ended() {
    const auto [status, wished] = wait_for(pid_);
    died_ = !wished;
    pid_ = -1;
    const int by = WIFSIGNALED(status) ? WTERMSIG(status) : 0;
    if (WIFEXITED(status) && WEXITSTATUS(status) == host_is_refused)
        return translated(
            "this system does not let the plug-in host give up its rights. Update the kernel to use plug-ins.");
    return by != 0 && by != SIGKILL ? translate("the plug-in crashed ({})", strsignal(by))
                                    : translated("the plug-in ended by itself");
}

/// All of an answer: what comes of it comes within the time, or nothing is waited for any more.
HostProcess::Came HostProcess::receive(Answer& answer, int max_ms) const {
    using namespace std::chrono;
    const auto until = steady_clock::now() + milliseconds(max_ms);
    for (size_t got = 0; got < sizeof answer;) {
        pollfd waiting{socket_, POLLIN, 0};
        const auto left = duration_cast<milliseconds>(until - steady_clock::now()).count();
        const int ready = left > 0 ? poll(&waiting, 1, static_cast<int>(left)) : 0;
        if (ready < 0 && errno == EINTR) continue;
        if (ready == 0) return Came::nothing;
        const ssize_t some =
            ready < 0 ? -1 : recv(socket_, reinterpret_cast<char*>(&answer) + got, sizeof answer - got, MSG_DONTWAIT);
        if (some < 0 && (errno == EAGAIN || errno == EINTR)) continue;
        if (some <= 0) return Came::end;
        got += static_cast<size_t>(some);
    }
    return Came::all;
}

Result<Answer> HostProcess::ask(const Question& question, int max_ms) {
    if (pid_ < 0) return cause(translated("the plug-in has ended"));
    Answer answer;
    if (send(socket_, &question, sizeof question, MSG_NOSIGNAL) != sizeof question) return cause(how_it_ended());
    switch (receive(answer, max_ms)) {
        case Came::end:
            return cause(how_it_ended());
        case Came::nothing:
            end_it();
            return cause(translate("the plug-in did not answer in time ({} s)", max_ms / 1000));
        case Came::all:
            break;
    }
    if (answer.failed) return cause(std::string(shared_->text, strnlen(shared_->text, max_text)));
    return answer;
}

Result<void> HostProcess::start(std::span<const double> values) {
    const std::string text =
        nlohmann::json{{"uri", what_.uri}, {"bundle", what_.bundle}, {"symbols", what_.symbols}}.dump();
    if (text.size() >= max_text) return cause(translated("the plug-in has too many parameters"));
    std::memcpy(shared_->text, text.c_str(), text.size() + 1);
    set(0, values);
    const auto answer = ask({Ask::start, channels_, rate_}, start_ms);
    if (!answer) return tl::unexpected(answer.error());
    if (answer->latency < 0 || answer->latency > max_latency)
        return cause(translated("the plug-in reports an impossible latency"));
    latency_ = answer->latency;
    return {};
}

Result<std::unique_ptr<HostProcess>> HostProcess::take(const PluginToRun& what, int channels, double sample_rate,
                                                       std::span<const double> values) {
    std::unique_ptr<HostProcess> process;
    {
        const std::scoped_lock lock(idle().mutex);
        auto& all = idle().all;
        const auto same = std::find_if(all.begin(), all.end(), [&](const auto& p) { return p->what_ == what; });
        if (same != all.end()) {
            process = std::move(*same);
            all.erase(same);
        }
    }
    if (process) {
        process->channels_ = channels;
        process->rate_ = sample_rate;
        if (process->start(values)) return process;  // else it may have ended while nobody looked
    }
    for (int tries = 0;; ++tries) {
        process.reset(new HostProcess(what, channels, sample_rate));
        if (auto spawned = process->spawn(); !spawned) return tl::unexpected(spawned.error());
        const auto started = process->start(values);
        if (started) return process;
        // Whoever killed it may not have meant it: once more.
        if (!process->died() || tries > 0) return tl::unexpected(started.error());
    }
}

void HostProcess::give_back(std::unique_ptr<HostProcess> process) {
    if (!process || process->pid_ < 0) return;
    const std::scoped_lock lock(idle().mutex);
    auto& all = idle().all;
    if (all.size() >= max_idle) all.erase(all.begin());
    all.push_back(std::move(process));
}

void HostProcess::set(int run, std::span<const double> values) {
    for (size_t n = 0; n < std::min<size_t>(values.size(), max_parameters); ++n)
        shared_->values[run][n] = static_cast<float>(values[n]);
}

Result<void> HostProcess::process(float* audio) {
    const auto samples = static_cast<size_t>(batch_frames * channels_);
    if (pid_ < 0) return cause(translated("the plug-in has ended"));
    std::memcpy(shared_->audio, audio, samples * sizeof(float));
    const auto answer = ask({Ask::batch, channels_, rate_}, batch_ms);
    if (!answer) return tl::unexpected(answer.error());
    if (answer->latency != latency_) return cause(translated("the plug-in changes its latency while it runs"));
    // Taken first and looked at then: the other side could still write.
    float out[2 * batch_frames];
    std::memcpy(out, shared_->audio, samples * sizeof(float));
    for (size_t i = 0; i < samples; ++i)
        if (!std::isfinite(out[i])) return cause(translated("the output of the plug-in has corrupt samples (NaN)"));
    std::memcpy(audio, out, samples * sizeof(float));
    return {};
}

}  // namespace isotonus::foreign
