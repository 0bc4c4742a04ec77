// Prints, and the session that is kept beside each.
#include "core/session/prints.h"

#include <gmock/gmock.h>

#include <fstream>

#include "core/session/session_file.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

TEST(Prints, keep_their_session_and_never_write_over_another) {
    Folder folder;
    Session session = with_files({}, {write(folder / "a.wav", make(4800, 1, noise(1)), 1)});
    ListeningNote note;
    note.text = "too loud";
    session.notes.change().push_back(note);
    const fs::path print = folder / "mix.wav";
    const auto kept = keep_session_of_print(session, print, std::nullopt);
    ASSERT_TRUE(kept) << kept.error().text();
    ASSERT_EQ(*kept, folder / "mix.wav.isotonus");
    const Session then = read_session(*kept).value();
    EXPECT_EQ(then.tracks.size(), 1u);
    EXPECT_TRUE(then.notes.empty()) << "notes are of the session that is worked in";
    // Written anew with the print, but not while it is worked in, and no other file of that name.
    EXPECT_EQ(keep_session_of_print(session, print, std::nullopt).value(), *kept);
    EXPECT_EQ(keep_session_of_print(session, print, *kept).value(), fs::path());
    const fs::path own = folder / "other.wav.isotonus";
    ASSERT_TRUE(write_session(session, own));
    EXPECT_EQ(keep_session_of_print(session, folder / "other.wav", std::nullopt).value(), fs::path());
    EXPECT_EQ(read_session(own).value().notes.size(), 1u);
}

TEST(Prints, of_one_file_stand_once_in_the_list) {
    Measurement m;
    m.integrated_lufs = -20.0;
    Session session = with_print({}, "/tmp/mix.wav", "/tmp/mix.wav.isotonus", m, "2026-01-01 10:00", "first");
    m.integrated_lufs = -18.0;
    session = with_print(session, "/tmp/mix.wav", {}, m, "2026-01-01 11:00", "second");
    ASSERT_EQ(session.recordings.size(), 1u);
    EXPECT_EQ(session.recordings[0].name, "mix");
    EXPECT_EQ(session.recordings[0].integrated_lufs, -18.0);
    EXPECT_FALSE(session.recordings[0].reference);
}
