// Files: written whole or not at all, never over what is needed, read within limits, and fewer open than there are.
#include <fcntl.h>
#include <gmock/gmock.h>
#include <signal.h>
#include <sys/resource.h>
#include <sys/stat.h>
#include <atomic>
#include <thread>

#include <fstream>

#include "core/files/file_lock.h"
#include "core/files/mapped_list.h"
#include "core/files/pending_file.h"
#include "core/session/recovery.h"
#include "tests/support/faults.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

std::string content_of(const fs::path& file) { return read_whole(file, 1 << 20).value_or(std::string("(none)")); }

mode_t mode_of(const fs::path& file) {
    struct stat status {};
    EXPECT_EQ(::stat(file.c_str(), &status), 0);
    return status.st_mode & 07777;
}

size_t entries(const fs::path& folder) { return entries_of(folder).value().size(); }

std::string refusal(const fs::path& file, const ProtectedFiles& kept = none_protected()) {
    const auto written = write_whole(file, "new", kept);
    return written ? "(written)" : written.error().text();
}

}  // namespace

TEST(PendingFiles, leave_the_old_file_at_any_fault_and_nothing_beside_it) {
    Folder folder;
    const fs::path file = folder / "a.txt";
    put(file, "old");
    int failing = 0;
    for (;; ++failing) {
        const FaultAt fault(failing, EIO);
        const auto written = write_whole(file, "new", none_protected());
        if (!fault.reached()) break;
        EXPECT_FALSE(written) << failing;
        EXPECT_EQ(content_of(file), "old") << failing;
        EXPECT_EQ(entries(folder.path()), 1u) << failing;
    }
    EXPECT_EQ(failing, 6);  // claim, create, write, sync, close, rename
    EXPECT_EQ(content_of(file), "new");
}

TEST(PendingFiles, follow_links_and_keep_modes) {
    Folder folder;
    fs::create_directories(folder / "real");
    put(folder / "real/a.txt", "old");
    fs::permissions(folder / "real/a.txt", fs::perms(0600));
    fs::create_symlink("real/a.txt", folder / "link.txt");
    ASSERT_TRUE(write_whole(folder / "link.txt", "new", none_protected()));
    EXPECT_TRUE(fs::is_symlink(folder / "link.txt"));
    EXPECT_EQ(content_of(folder / "real/a.txt"), "new");
    EXPECT_EQ(mode_of(folder / "real/a.txt"), 0600u);
    const mode_t before = ::umask(027);
    ASSERT_TRUE(write_whole(folder / "fresh.txt", "x", none_protected()));
    ::umask(before);
    EXPECT_EQ(mode_of(folder / "fresh.txt"), 0640u);
    fs::create_symlink("nowhere.txt", folder / "dangling.txt");
    EXPECT_THAT(refusal(folder / "dangling.txt"), HasSubstr("points to a file that does not exist"));
}

TEST(PendingFiles, refuse_what_is_read_only_or_no_regular_file) {
    Folder folder;
    put(folder / "fixed.txt", "old");
    fs::permissions(folder / "fixed.txt", fs::perms(0444));
    EXPECT_THAT(refusal(folder / "fixed.txt"), HasSubstr("read-only"));
    EXPECT_EQ(content_of(folder / "fixed.txt"), "old");
    ASSERT_EQ(::mkfifo((folder / "pipe").c_str(), 0600), 0);
    EXPECT_THAT(refusal(folder / "pipe"), HasSubstr("not a regular file"));
    EXPECT_THAT(refusal("/dev/null"), HasSubstr("not a regular file"));
    EXPECT_THAT(refusal(folder.path()), HasSubstr("a folder has this name. Choose another name."));
    EXPECT_THAT(refusal(folder / std::string(300, 'x')), HasSubstr("255 bytes"));
    EXPECT_THAT(refusal(folder / "no/such/a.txt"), HasSubstr("folder of the file does not exist"));
    EXPECT_THAT(refusal(""), HasSubstr("the file has no name. Type one."));
}

TEST(PendingFiles, never_write_over_what_is_protected_by_whatever_name) {
    Folder folder;
    put(folder / "kick.wav", "kick");
    fs::create_directories(folder / "sub");
    fs::create_symlink(folder / "kick.wav", folder / "link.wav");
    fs::create_symlink(folder.path(), folder / "sub/up");
    fs::create_hard_link(folder / "kick.wav", folder / "hard.wav");
    ProtectedFiles kept;
    kept.add(folder / "kick.wav", "the file of the track 'Kick'");
    kept.add(folder / "missing.wav", "the file of the track 'Gone'");
    for (const char* name : {"kick.wav", "sub/../kick.wav", "link.wav", "sub/up/kick.wav", "hard.wav"})
        EXPECT_THAT(refusal(folder / name, kept), HasSubstr("the file of the track 'Kick'")) << name;
    EXPECT_THAT(refusal(folder / "missing.wav", kept), HasSubstr("'Gone'"));
    EXPECT_EQ(content_of(folder / "kick.wav"), "kick");
    EXPECT_EQ(refusal(folder / "mix.wav", kept), "(written)");
    // What comes to stand under the name while the file is being written is safe too.
    auto pending = PendingFile::create(folder / "late.wav", kept).value();
    fs::create_hard_link(folder / "kick.wav", folder / "late.wav");
    EXPECT_FALSE(pending.commit());
    EXPECT_EQ(content_of(folder / "late.wav"), "kick");
}

TEST(PendingFiles, get_their_names_together_or_not_at_all) {
    Folder folder;
    put(folder / "b.txt", "old b");
    put(folder / "c.txt", "old c");
    const auto write_three = [&] {
        std::vector<PendingFile> files;
        for (const char* name : {"a.txt", "b.txt", "c.txt"}) {
            files.push_back(PendingFile::create(folder / name, none_protected()).value());
            EXPECT_TRUE(files.back().write(0, std::string("new ") + name[0]));
        }
        PendingFile* all[] = {&files[0], &files[1], &files[2]};
        return commit_together(all);
    };
    for (int failing = 0; failing < 3; ++failing) {
        const FaultAt fault(failing, EACCES, FileStep::rename);
        const auto done = write_three();
        ASSERT_FALSE(done);
        EXPECT_FALSE(is_there(folder / "a.txt")) << failing;
        EXPECT_EQ(content_of(folder / "b.txt"), "old b") << failing;
        EXPECT_EQ(content_of(folder / "c.txt"), "old c") << failing;
        EXPECT_EQ(entries(folder.path()), 2u) << failing;
    }
    ASSERT_TRUE(write_three());
    for (const char* name : {"a.txt", "b.txt", "c.txt"})
        EXPECT_EQ(content_of(folder / name), std::string("new ") + name[0]);
    EXPECT_EQ(entries(folder.path()), 3u);
}

TEST(PendingFiles, of_a_killed_process_are_swept_up_and_those_of_a_living_one_are_not) {
    Folder folder;
    int ready[2];
    ASSERT_EQ(::pipe(ready), 0);
    const pid_t child = ::fork();
    if (child == 0) {
        auto pending = PendingFile::create(folder / "a.txt", none_protected());
        const bool good = pending && pending->write(0, "half");
        (void)!::write(ready[1], good ? "y" : "n", 1);
        for (;;) ::pause();
    }
    char answer = 0;
    ASSERT_EQ(::read(ready[0], &answer, 1), 1);
    EXPECT_EQ(answer, 'y');
    EXPECT_EQ(entries(folder.path()), 2u);  // the claim and the part
    remove_stale_parts(folder.path());
    EXPECT_EQ(entries(folder.path()), 2u) << "somebody is at work on them";
    ::kill(child, SIGKILL);
    ::waitpid(child, nullptr, 0);
    put(folder / ".isotonus-notes.part", "a user's own file");
    remove_stale_parts(folder.path());
    EXPECT_EQ(entries_of(folder.path()).value(), std::vector<fs::path>{folder / ".isotonus-notes.part"});
    ::close(ready[0]);
    ::close(ready[1]);
}

TEST(PendingFiles, have_names_that_cannot_be_guessed_and_follow_no_link) {
    Folder folder;
    auto one = PendingFile::create(folder / "a.txt", none_protected()).value();
    const std::string name = one.temporary().filename().string();
    EXPECT_EQ(name.size(), std::string(".isotonus-0123456789abcdef0123456789abcdef-1.part").size());
    Folder other;
    auto two = PendingFile::create(other / "a.txt", none_protected()).value();
    EXPECT_NE(two.temporary().filename(), name);
}

TEST(ReadWhole, takes_regular_files_within_a_limit) {
    Folder folder;
    put(folder / "a.txt", "12345");
    EXPECT_EQ(read_whole(folder / "a.txt", 5).value(), "12345");
    const auto fault = [&](const fs::path& file, uintmax_t most = 100) {
        const auto read = read_whole(file, most);
        return read ? "(read)" : read.error().what;
    };
    EXPECT_THAT(fault(folder / "a.txt", 4), HasSubstr("at most 4 bytes can be read"));
    EXPECT_EQ(fault(folder / "none.txt"), "the file does not exist. Check its name.");
    EXPECT_EQ(fault(folder.path()), "this is a folder. Choose a file.");
    ASSERT_EQ(::mkfifo((folder / "pipe").c_str(), 0600), 0);
    EXPECT_EQ(fault(folder / "pipe"), "this is not a regular file. Choose a file.");  // and nobody waits for a writer
    EXPECT_EQ(fault("/dev/zero"), "this is not a regular file. Choose a file.");
    const FaultAt broken(0, EIO, FileStep::read);
    EXPECT_THAT(fault(folder / "a.txt"), HasSubstr("cannot be read"));
}

TEST(PooledFiles, are_fewer_than_there_are_files) {
    Folder folder;
    struct rlimit before {};
    ASSERT_EQ(::getrlimit(RLIMIT_NOFILE, &before), 0);
    for (int n = 0; n < 100; ++n) put(folder / std::to_string(n), std::to_string(1000 + n));
    struct rlimit few = before;
    few.rlim_cur = 40;
    ASSERT_EQ(::setrlimit(RLIMIT_NOFILE, &few), 0);
    std::vector<std::shared_ptr<PooledFile>> files;
    for (int n = 0; n < 100; ++n) files.push_back(PooledFile::open(folder / std::to_string(n)).value());
    std::atomic<int> right{0};
    parallel_for(1000, 4, [&](int64_t i) {
        char text[4];
        int problem = 0;
        const int64_t n = i * 37 % 100;
        const int64_t got = files[static_cast<size_t>(n)]->read(0, text, 4, &problem);
        if (got == 4 && std::string(text, 4) == std::to_string(1000 + n)) ++right;
    });
    EXPECT_EQ(right, 1000);
    EXPECT_LE(PooledFile::open_now(), 20);
    EXPECT_EQ(PooledFile::open(folder / "3").value(), files[3]) << "one file is opened once";
    // Who took a file's name while it was closed is not taken for it.
    fs::remove(folder / "0");
    put(folder / "0", "other");
    for (int n = 1; n < 60; ++n) {
        char text[4];
        int problem = 0;
        files[static_cast<size_t>(n)]->read(0, text, 4, &problem);
    }
    char text[4];
    int problem = 0;
    EXPECT_EQ(files[0]->read(0, text, 4, &problem), 0);
    EXPECT_EQ(problem, ESTALE);
    ASSERT_EQ(::setrlimit(RLIMIT_NOFILE, &before), 0);
}

TEST(FileLocks, pass_from_one_to_the_next_also_when_the_file_is_replaced) {
    Folder folder;
    put(folder / "a.txt", "0");
    // Four writers add to a number, each 50 times: none of the additions is lost.
    parallel_for(4, 4, [&](int64_t) {
        for (int n = 0; n < 50; ++n) {
            const auto lock = FileLock::take(folder / "a.txt", 30.0);
            ASSERT_TRUE(lock);
            const int number = std::stoi(content_of(folder / "a.txt"));
            ASSERT_TRUE(write_whole(folder / "a.txt", std::to_string(number + 1), none_protected()));
        }
    });
    EXPECT_EQ(content_of(folder / "a.txt"), "200");
    const auto held = FileLock::take(folder / "a.txt", 0.0);
    ASSERT_TRUE(held);
    EXPECT_THAT(FileLock::take(folder / "a.txt", 0.0).error().what, HasSubstr("another program"));
}

TEST(Paths, that_are_no_utf8_can_be_told_and_kept) {
    EXPECT_TRUE(
        is_utf8("Gl\xC3\xB6"
                "ckchen \xE2\x99\xAA \xF0\x9F\x8E\xB5"));
    for (const char* bad : {"\xE4", "\xC0\x80", "\xED\xA0\x80", "\xF5\x80\x80\x80", "\xC3", "\xE2\x99"})
        EXPECT_FALSE(is_utf8(bad)) << shown_text(bad);
    EXPECT_EQ(shown_text("K\xE4se"), "K\\xe4se");
    EXPECT_EQ(from_hexadecimal(hexadecimal("K\xE4se")).value(), "K\xE4se");
    EXPECT_FALSE(from_hexadecimal("4x"));
    EXPECT_FALSE(from_hexadecimal("123"));
}

TEST(MappedLists, are_those_of_the_file_even_after_it_is_gone) {
    Folder folder;
    const float values[] = {1.0f, 2.0f, 3.0f};
    put(folder / "list", std::string(reinterpret_cast<const char*>(values), sizeof values));
    const MappedList<float> list(map_file(folder / "list"), 4, 2);
    fs::remove(folder / "list");
    EXPECT_EQ(list[0], 2.0f);
    EXPECT_EQ(list, MappedList<float>(std::vector<float>{2.0f, 3.0f}));
    EXPECT_FALSE(map_file(folder / "list"));
}

TEST(Threads, hand_on_what_they_throw) {
    std::atomic<int> done{0};
    const auto work = [&](int64_t i) {
        if (i == 5) throw std::bad_alloc();
        ++done;
    };
    const auto result = without_exceptions("a.wav", [&]() -> Result<void> {
        parallel_for(100, 4, work);
        return {};
    });
    ASSERT_FALSE(result);
    EXPECT_EQ(result.error().text(), "a.wav: the memory is full. Close other programs and try again.");
    EXPECT_LT(done, 100);
}

TEST(Recovery, never_forgets_where_a_session_was_saved_however_often_it_is_kept) {
    // The place is read by somebody else all the while, as after a kill at any moment.
    Folder folder;
    setenv("XDG_STATE_HOME", folder.path().c_str(), 1);
    Recovery recovery;
    const Session session = with_files({}, {"/x/a.wav"});
    ASSERT_TRUE(recovery.keep(session, folder / "a name.isotonus"));
    const fs::path place = fs::path(recovery.file()).replace_extension(".place");
    std::atomic<bool> stop{false};
    int torn = 0;
    std::thread reader([&] {
        while (!stop) {
            std::ifstream in(place);
            const std::string text{std::istreambuf_iterator<char>(in), {}};
            if (text != (folder / "a name.isotonus").string()) ++torn;
        }
    });
    for (int n = 0; n < 200; ++n) EXPECT_TRUE(recovery.keep(session, folder / "a name.isotonus"));
    stop = true;
    reader.join();
    EXPECT_EQ(torn, 0);
    // Saved elsewhere, under a shorter name.
    ASSERT_TRUE(recovery.keep(session, folder / "b"));
    std::ifstream in(place);
    EXPECT_EQ(std::string(std::istreambuf_iterator<char>(in), {}), (folder / "b").string());
    recovery.forget();
}
