// Unsaved work: kept while somebody works without a pause, held by a lock, and offered again.
#include <signal.h>
#include <sys/wait.h>

#include <chrono>
#include <random>
#include <thread>

#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

TEST(Killed, at_any_moment_while_working_loses_a_second_at_most) {
    Folder folder;
    setenv("XDG_CONFIG_HOME", (folder / "config").c_str(), 1);
    setenv("XDG_STATE_HOME", (folder / "state").c_str(), 1);
    write(folder / "a.wav", make(48000, 1, sine(220, 48000, 0.3)), 1);
    ASSERT_TRUE(write_session(with_files({}, {folder / "a.wav"}), folder / "s.isotonus"));
    std::mt19937 random(7);
    int64_t worst_ms = 0;
    int recovered = 0;
    for (int round = 0; round < 50; ++round) {
        int pipe_ends[2];
        ASSERT_EQ(::pipe(pipe_ends), 0);
        const pid_t child = ::fork();
        if (child == 0) {
            ::dup2(pipe_ends[1], 1);
            ::close(pipe_ends[0]);
            ::execl(ISOTONUS_TYPIST, ISOTONUS_TYPIST, (folder / "s.isotonus").c_str(), nullptr);
            ::_exit(127);
        }
        ::close(pipe_ends[1]);
        FILE* out = ::fdopen(pipe_ends[0], "r");
        struct Move {
            int64_t ms = 0;
            double fader_db = 0.0;
        };
        std::vector<Move> moves;
        // From the first move on the kill may come at any moment.
        const int wanted = 1 + static_cast<int>(random() % 120);
        long long ms = 0;
        int count = 0;
        double fader_db = 0.0;
        while (static_cast<int>(moves.size()) < wanted && std::fscanf(out, "%lld %d %lf", &ms, &count, &fader_db) == 3)
            moves.push_back({ms, fader_db});
        ASSERT_EQ(static_cast<int>(moves.size()), wanted) << "the window ended by itself";
        std::this_thread::sleep_for(std::chrono::microseconds(random() % 15000));
        ::kill(child, SIGKILL);
        while (std::fscanf(out, "%lld %d %lf", &ms, &count, &fader_db) == 3) moves.push_back({ms, fader_db});
        ::waitpid(child, nullptr, 0);
        std::fclose(out);
        ASSERT_TRUE(read_session(folder / "s.isotonus")) << "the saved session is whole";
        const auto left = Recovery::left_behind();
        ASSERT_LE(left.size(), 1u);
        int64_t lost_ms = moves.back().ms - moves.front().ms;  // no copy: all of it
        if (!left.empty()) {
            const auto kept = read_session(left.front().file);
            ASSERT_TRUE(kept) << kept.error().text();
            EXPECT_EQ(left.front().path, folder / "s.isotonus");
            const double value = kept->tracks.front()->fader_db;
            for (auto at = moves.rbegin(); at != moves.rend(); ++at)
                if (std::abs(at->fader_db - value) < 1e-6) {
                    lost_ms = moves.back().ms - at->ms;
                    break;
                }
            ++recovered;
            Recovery::discard(left.front());
        }
        worst_ms = std::max(worst_ms, lost_ms);
        EXPECT_LE(lost_ms, 1000) << round;
    }
    EXPECT_GT(recovered, 25);
    RecordProperty("most_lost_ms", static_cast<int>(worst_ms));
    std::printf("killed 50 times: %d copies, %d ms lost at most\n", recovered, static_cast<int>(worst_ms));
}

TEST_F(Window, recovery_is_offered_before_the_session_that_was_asked_for) {
    import_all();
    station(2);
    type(lane(0), "-4");
    work().document.keep_aside();
    fs::copy_file(work().document.aside(), Recovery::folder() / "left.isotonus");
    work().document.save(folder / "asked.isotonus");
    work().document.start_new();
    answers.asked = 0;
    EXPECT_TRUE(window->files().offer_recovery());
    EXPECT_EQ(answers.asked, 1);
    EXPECT_NEAR(track(0).fader_db, -4.0, 1e-9);
    answers.answer = Prompter::Answer::no;
}

TEST_F(Window, a_recovery_folder_that_cannot_be_written_is_told_once) {
    import_all();
    // Work that is kept just now may make the folder again in between.
    for (std::ofstream in_the_way; !in_the_way.is_open(); in_the_way.open(folder / "state")) {
        std::error_code problem;
        fs::remove_all(folder / "state", problem);
    }
    work().document.start_new();
    import_all();
    answers.complaints.clear();
    station(2);
    type(lane(0), "-4");
    work().document.keep_aside();
    wait_for([&] { return !answers.complaints.isEmpty(); });
    type(lane(0), "-5");
    work().document.keep_aside();
    QApplication::processEvents();
    EXPECT_EQ(answers.complaints.size(), 1) << answers.complaints.join("\n").toStdString();
    EXPECT_TRUE(answers.complaints.front().contains("cannot be kept for recovery"));
    fs::remove(folder / "state");
    answers.answer = Prompter::Answer::no;
}

TEST_F(Window, what_another_program_changed_is_seen_and_never_written_over_unasked) {
    import_all();
    const fs::path file = folder / "s.isotonus";
    ASSERT_TRUE(work().document.save(file));
    answers.answer = Prompter::Answer::cancel;
    answers.asked = 0;
    // The command line sets a trim meanwhile.
    ASSERT_TRUE(change_session(file, [](Session& s) -> Result<void> {
        s = with_track(s, s.tracks[0]->id, [](Track& t) { t.trim_db = 3.0; });
        return {};
    }));
    wait_for([&] { return answers.asked > 0; });  // seen, offered, not wanted yet
    EXPECT_EQ(track(0).trim_db, 0.0);
    station(2);
    type(lane(1), "-2");
    answers.asked = 0;
    EXPECT_FALSE(window->files().save());  // asked again; cancelled
    EXPECT_EQ(answers.asked, 1);
    EXPECT_EQ(read_session(file).value().tracks[0]->trim_db, 3.0);
    answers.answer = Prompter::Answer::no;  // take in what changed
    EXPECT_FALSE(window->files().save());
    EXPECT_EQ(track(0).trim_db, 3.0);
    EXPECT_TRUE(work().document.is_saved());
    work().document.undo();
    EXPECT_EQ(track(0).trim_db, 0.0);
    EXPECT_NEAR(track(1).fader_db, -2.0, 1e-9) << "what was not saved is one undo away";
    EXPECT_TRUE(window->files().save()) << "its own file now";
    answers.answer = Prompter::Answer::no;
}

TEST_F(Window, an_edit_that_could_not_be_saved_is_refused_with_a_sentence) {
    import_all();
    answers.complaints.clear();
    const Session before = session();
    EXPECT_FALSE(
        work().document.edit("Ride", with_ride(session(), track(0).id, Parameter::level, Curve{{{1e300, 0.0}}})));
    EXPECT_EQ(session_to_json(session(), "/"), session_to_json(before, "/"));
    ASSERT_EQ(answers.complaints.size(), 1);
    EXPECT_TRUE(answers.complaints.front().contains("must be from 0 to 1000000"));
    // By the doors that people have: a table, a MIDI file.
    std::ofstream(folder / "far.csv") << "1e300,0\n";
    answers.file = folder / "far.csv";
    answers.complaints.clear();
    station(4);
    work().document.select_only(track(0).id);
    find<QAction>("rideIn")->trigger();
    ASSERT_EQ(answers.complaints.size(), 1);
    EXPECT_TRUE(answers.complaints.front().contains("line 1"));
    EXPECT_FALSE(track(0).rides.any());
}

TEST_F(Window, a_reference_stays_matched_through_an_edit) {
    import_all();
    write(folder / "loud.wav", make(240000, 2, sine(220, 48000, 0.9)), 2);
    station(6);
    work().comparison.add_reference(folder / "loud.wav");
    work().comparison.show(true);
    wait_for([&] { return work().comparison.match_db(0).has_value(); });
    const double match_db = *work().comparison.match_db(0);
    EXPECT_LT(match_db, -3.0);
    work().comparison.hear(0);
    ASSERT_TRUE(work().comparison.heard());
    const auto heard_gain = [&] { return work().player.heard()->tracks.back().fader_gain; };
    EXPECT_NEAR(db_from_gain(heard_gain()), match_db, 1e-9);
    // An edit: until the mix is measured again the last match counts, block for block.
    work().document.edit_tracks("Fader", {track(0).id}, [](Track& t) { t.fader_db = -1.0; });
    EXPECT_NEAR(db_from_gain(heard_gain()), match_db, 1e-9);
    for (int n = 0; n < 20; ++n) {
        QApplication::processEvents();
        ASSERT_LT(db_from_gain(heard_gain()), -3.0) << "unmatched";
    }
    answers.answer = Prompter::Answer::no;
}
