// A session and all that it needs in one folder: rooms, prints with their sessions, and what happens when it goes
// wrong.
#include "core/session/collect.h"

#include <gmock/gmock.h>

#include <fstream>
#include <map>

#include "core/session/session_file.h"
#include "core/session/used_files.h"
#include "tests/support/chains.h"
#include "tests/support/faults.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

class Collecting : public testing::Test {
  protected:
    Folder folder;
    bool folders = fs::create_directories(folder / "a") && fs::create_directories(folder / "b");
    fs::path kick = write(folder / "a/Kick.wav", make(9600, 1, noise(1, 0.2)), 1),
             other = write(folder / "b/Kick.wav", make(9600, 1, noise(2, 0.2)), 1);
    Session session = with_files({}, {kick, other, kick});
    static std::vector<std::string> in(const fs::path& where) {
        std::vector<std::string> names;
        if (!is_there(where)) return names;
        for (const auto& entry : fs::recursive_directory_iterator(where))
            names.push_back(fs::relative(entry.path(), where).string());
        std::sort(names.begin(), names.end());
        return names;
    }
};

}  // namespace

TEST_F(Collecting, each_file_is_there_once_and_under_a_name_of_its_own) {
    const fs::path room = write(folder / "Hall.wav", make(4800, 2, noise(3, 0.2)), 2);
    session = with_chain(session, session.tracks[0]->id, [&](Chain& c) {
        c = {processor("reverb")};
        c[0].impulse = room;
    });
    Session then = session;
    then.main_fader_db = -3.0;
    ASSERT_TRUE(write_session(then, folder / "mix 1.wav.isotonus"));
    Recording print{"mix 1", write(folder / "mix 1.wav", make(9600, 2, noise(4, 0.2)), 2), false, "2030", "", {}, {},
                    {}};
    print.session = folder / "mix 1.wav.isotonus";
    session.recordings = {print};
    const auto done = collect(session, folder / "all", "boats");
    ASSERT_TRUE(done) << done.error().text();
    EXPECT_TRUE(done->missing.empty());
    EXPECT_EQ(
        in(folder / "all"),
        (std::vector<std::string>{"audio", "audio/Kick (2).wav", "audio/Kick.wav", "boats.isotonus", "recordings",
                                  "recordings/mix 1.wav", "recordings/mix 1.wav.isotonus", "rooms", "rooms/Hall.wav"}));
    const Session back = read_session(done->session).value();
    EXPECT_EQ(back.tracks[0]->source.file, folder / "all/audio/Kick.wav");
    EXPECT_EQ(back.tracks[1]->source.file, folder / "all/audio/Kick (2).wav");
    EXPECT_EQ(back.tracks[2]->source.file, back.tracks[0]->source.file);
    EXPECT_EQ(back.tracks[0]->chain[0].impulse, folder / "all/rooms/Hall.wav");
    EXPECT_EQ(read(back.tracks[1]->source.file), read(other));
    // The print's session stands on the copies too.
    const Session at_print = read_session(back.recordings[0].session).value();
    EXPECT_EQ(at_print.main_fader_db, -3.0);
    EXPECT_EQ(at_print.tracks[1]->source.file, back.tracks[1]->source.file);
    // Nothing else changed: with the paths put back it is the same session, word for word.
    std::map<fs::path, fs::path> from{{back.tracks[0]->source.file, kick},
                                      {back.tracks[1]->source.file, other},
                                      {back.tracks[0]->chain[0].impulse, room},
                                      {back.recordings[0].file, print.file},
                                      {back.recordings[0].session, print.session}};
    const Session put_back = with_files_at(back, [&](const fs::path& f) { return from.at(f); });
    EXPECT_EQ(session_to_json(put_back, folder.path()), session_to_json(session, folder.path()));
}

TEST_F(Collecting, nothing_is_left_when_it_fails_or_is_cancelled) {
    int steps = 0;
    for (; steps < 500; ++steps) {
        const FaultAt fault(steps, ENOSPC);
        const auto done = collect(session, folder / "all", "boats");
        if (!fault.reached()) break;
        ASSERT_FALSE(done) << "step " << steps;
        EXPECT_FALSE(is_there(folder / "all")) << "step " << steps;
    }
    EXPECT_GT(steps, 10);
    fs::remove_all(folder / "all");
    Progress progress;
    progress.cancel();
    EXPECT_FALSE(collect(session, folder / "all", "boats", &progress));
    EXPECT_FALSE(is_there(folder / "all"));
    // A folder of the user's stays, empty; one with something in it is not touched.
    fs::create_directories(folder / "mine");
    Progress again;
    again.cancel();
    EXPECT_FALSE(collect(session, folder / "mine", "boats", &again));
    EXPECT_TRUE(is_there(folder / "mine"));
    EXPECT_TRUE(in(folder / "mine").empty());
    std::ofstream(folder / "mine/letter.txt") << "dear";
    EXPECT_THAT(collect(session, folder / "mine", "boats").error().what, HasSubstr("not empty"));
    EXPECT_THAT(collect(session, kick, "boats").error().what, HasSubstr("this is a file"));
    EXPECT_EQ(in(folder / "mine"), (std::vector<std::string>{"letter.txt"}));
}
