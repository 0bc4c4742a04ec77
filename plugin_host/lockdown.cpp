#include "plugin_host/lockdown.h"

#include <fcntl.h>
#include <poll.h>
#include <sched.h>
#include <seccomp.h>
#include <unistd.h>

#include <cerrno>
#include <cstdlib>
#include <thread>

namespace isotonus::foreign {

namespace {

/// Calls that are refused whatever they ask for.  What a system does not know is skipped.
constexpr const char* refused[] = {
    // files
    "creat", "mkdir", "mkdirat", "mknod", "mknodat", "rename", "renameat", "renameat2", "link", "linkat", "symlink",
    "symlinkat", "unlink", "unlinkat", "rmdir", "truncate", "chmod", "fchmod", "fchmodat", "fchmodat2", "chown",
    "fchown", "lchown", "fchownat", "utime", "utimes", "utimensat", "futimesat", "setxattr", "lsetxattr", "fsetxattr",
    "removexattr", "lremovexattr", "fremovexattr", "mount", "umount2", "pivot_root", "chroot", "open_by_handle_at",
    "swapon", "swapoff",
    // network, and other ways to talk
    "socket", "socketpair", "connect", "bind", "listen", "accept", "accept4", "io_uring_setup", "io_uring_enter",
    "io_uring_register", "mq_open", "msgget", "shmget", "semget",
    // programs and other processes
    "execve", "execveat", "fork", "vfork", "ptrace", "process_vm_readv", "process_vm_writev", "pidfd_open",
    "pidfd_getfd", "pidfd_send_signal", "kill", "tkill", "setsid", "setns", "unshare", "bpf", "perf_event_open",
    "userfaultfd", "keyctl", "add_key", "request_key", "reboot", "init_module", "finit_module", "delete_module",
    "kexec_load", "setrlimit"};

class Filter {
  public:
    Filter() : filter_(seccomp_init(SCMP_ACT_ALLOW)) {}
    ~Filter() {
        if (filter_) seccomp_release(filter_);
    }
    Filter(const Filter&) = delete;
    Filter& operator=(const Filter&) = delete;

    bool refuse(const char* name, int with, std::initializer_list<scmp_arg_cmp> when = {}) {
        const int call = seccomp_syscall_resolve_name(name);
        if (call == __NR_SCMP_ERROR) return true;  // this machine has no such call
        return filter_ && seccomp_rule_add_array(filter_, SCMP_ACT_ERRNO(static_cast<uint32_t>(with)), call,
                                                 static_cast<unsigned>(when.size()), when.begin()) == 0;
    }
    bool load() { return filter_ && seccomp_load(filter_) == 0; }

  private:
    scmp_filter_ctx filter_;
};

}  // namespace

bool give_up_rights() {
    Filter filter;
    bool done = true;
    for (const char* name : refused) done &= filter.refuse(name, EPERM);
    // Opening is refused where anything could be written.
    for (const auto& [name, flags_at] : {std::pair("open", 1U), std::pair("openat", 2U)})
        for (const auto flag : {O_WRONLY, O_RDWR, O_CREAT, O_TRUNC, __O_TMPFILE}) {
            const auto bits = static_cast<scmp_datum_t>(flag);
            done &= filter.refuse(name, EPERM, {SCMP_CMP(flags_at, SCMP_CMP_MASKED_EQ, bits, bits)});
        }
    // Threads are allowed, children are not.
    done &= filter.refuse("clone", EPERM, {SCMP_CMP(0, SCMP_CMP_MASKED_EQ, CLONE_THREAD, 0)});
    // Limits can be asked for, which the library does for every thread, but not changed.
    done &= filter.refuse("prlimit64", EPERM, {SCMP_CMP(2, SCMP_CMP_NE, 0)});
    // A plug-in may end its own process by a signal, and no other.
    done &= filter.refuse("tgkill", EPERM, {SCMP_CMP(0, SCMP_CMP_NE, static_cast<scmp_datum_t>(getpid()))});
    // These hide what they ask for behind a pointer; libraries go back to the calls above.
    done &= filter.refuse("openat2", ENOSYS) && filter.refuse("clone3", ENOSYS);
    return done && filter.load();
}

void end_with(int handle) {
    std::thread([handle] {
        pollfd other{handle, POLLRDHUP, 0};
        while (poll(&other, 1, -1) < 0 && errno == EINTR) {
        }
        std::_Exit(0);
    }).detach();
}

}  // namespace isotonus::foreign
