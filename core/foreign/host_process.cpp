#include "core/foreign/host_process.h"

#include <fcntl.h>
#include <poll.h>
#include <signal.h>
#include <spawn.h>
#include <sys/mman.h>
#include <sys/socket.h>
#include <sys/wait.h>
#include <unistd.h>

#include <cmath>
#include <cstring>
#include <mutex>
#include <nlohmann/json.hpp>

#include "core/files/paths.h"

#ifndef ISOTONUS_LIBEXEC
#define ISOTONUS_LIBEXEC "/usr/libexec"
#endif

namespace isotonus::foreign {

namespace {

constexpr int start_ms = 10000, batch_ms = 5000;
constexpr size_t most_idle = 8;

struct Idle {
    std::mutex mutex;
    std::vector<std::unique_ptr<HostProcess>> all;
};

Idle& idle() {
    static Idle processes;
    return processes;
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
    if (!is_there(program)) return fail(program.string(), said("the plug-in host is missing"));
    int ends[2] = {-1, -1};
    const int memory = memfd_create("isotonus-plugin", MFD_CLOEXEC);
    if (memory < 0 || ftruncate(memory, sizeof(Shared)) != 0 ||
        socketpair(AF_UNIX, SOCK_STREAM | SOCK_CLOEXEC, 0, ends) != 0) {
        if (memory >= 0) close(memory);
        return fail(program.string(), said("there is no memory for a plug-in"));
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
    if (problem == 0) return {};
    pid_ = -1;
    return fail(path, say("the plug-in host cannot be started: {}", std::strerror(problem)));
}

HostProcess::~HostProcess() {
    if (socket_ >= 0) close(socket_);
    if (pid_ > 0) {
        kill(pid_, SIGKILL);
        waitpid(pid_, nullptr, 0);
    }
    if (shared_) munmap(shared_, sizeof(Shared));
}

std::string HostProcess::how_it_ended() {
    int status = 0;
    kill(pid_, SIGKILL);
    waitpid(pid_, &status, 0);
    pid_ = -1;
    const int by = WIFSIGNALED(status) ? WTERMSIG(status) : 0;
    return by != 0 && by != SIGKILL ? say("it crashed ({})", strsignal(by)) : said("it ended by itself");
}

Result<Answer> HostProcess::ask(const Question& question, int most_ms) {
    if (pid_ < 0) return fail("", said("it has ended"));
    Answer answer;
    pollfd waiting{socket_, POLLIN, 0};
    if (send(socket_, &question, sizeof question, MSG_NOSIGNAL) == sizeof question) {
        int ready = -1;
        do ready = poll(&waiting, 1, most_ms);
        while (ready < 0 && errno == EINTR);
        if (ready == 0) {
            kill(pid_, SIGKILL);
            waitpid(pid_, nullptr, 0);
            pid_ = -1;
            return fail("", say("it did not answer in time ({} s)", most_ms / 1000));
        }
        if (ready > 0 && recv(socket_, &answer, sizeof answer, MSG_WAITALL) == sizeof answer) {
            if (answer.failed) return fail("", std::string(shared_->text, strnlen(shared_->text, most_text)));
            return answer;
        }
    }
    return fail("", how_it_ended());
}

Result<void> HostProcess::start(std::span<const double> values) {
    const std::string text =
        nlohmann::json{{"uri", what_.uri}, {"bundle", what_.bundle}, {"symbols", what_.symbols}}.dump();
    if (text.size() >= most_text) return fail("", said("it has too many parameters"));
    std::memcpy(shared_->text, text.c_str(), text.size() + 1);
    set(0, values);
    const auto answer = ask({Ask::start, channels_, rate_}, start_ms);
    if (!answer) return tl::unexpected(answer.error());
    if (answer->latency < 0) return fail("", said("it names a latency that cannot be"));
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
    process.reset(new HostProcess(what, channels, sample_rate));
    if (auto spawned = process->spawn(); !spawned) return tl::unexpected(spawned.error());
    if (auto started = process->start(values); !started) return tl::unexpected(started.error());
    return process;
}

void HostProcess::give_back(std::unique_ptr<HostProcess> process) {
    if (!process || process->pid_ < 0) return;
    const std::scoped_lock lock(idle().mutex);
    auto& all = idle().all;
    if (all.size() >= most_idle) all.erase(all.begin());
    all.push_back(std::move(process));
}

void HostProcess::set(int run, std::span<const double> values) {
    for (size_t n = 0; n < std::min<size_t>(values.size(), most_parameters); ++n)
        shared_->values[run][n] = static_cast<float>(values[n]);
}

Result<void> HostProcess::process(float* audio) {
    const auto samples = static_cast<size_t>(batch_frames * channels_);
    if (pid_ < 0) return fail("", said("it has ended"));
    std::memcpy(shared_->audio, audio, samples * sizeof(float));
    const auto answer = ask({Ask::batch, channels_, rate_}, batch_ms);
    if (!answer) return tl::unexpected(answer.error());
    if (answer->latency != latency_) return fail("", said("it changes its latency while it runs"));
    for (size_t i = 0; i < samples; ++i)
        if (!std::isfinite(shared_->audio[i])) return fail("", said("what comes out of it is no number"));
    std::memcpy(audio, shared_->audio, samples * sizeof(float));
    return {};
}

}  // namespace isotonus::foreign
