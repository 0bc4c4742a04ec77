// The command line does what was asked for or says why not: mixes that are not whole, names that speak to terminals,
// sessions as large as the limits allow.
#include <gmock/gmock.h>
#include <sys/resource.h>

#include "core/session/session_file.h"
#include "tests/support/command_line.h"

using namespace isotonus;
using namespace isotonus::test;
using nlohmann::json;
using testing::HasSubstr;

namespace {

class Trust : public Cli {
  protected:
    std::string path(const std::string& name) const { return (folder / name).string(); }
    std::string quoted(const std::string& name) const { return "'" + path(name) + "'"; }
    std::string text_of_session() const { return read_whole(folder / "mix.isotonus", 1 << 28).value(); }
    void change_session_text(const std::function<void(json&)>& change) {
        json j = json::parse(text_of_session());
        change(j);
        std::ofstream(folder / "mix.isotonus") << j.dump();
    }
    void make_session() {
        Cli::make_session();
        // Phrases of a voice, which a ride can bring to one level.
        write(folder / "audio/Voice.wav",
              make(480000, 1,
                   [](int64_t i, int) {
                       const int64_t phrase = i / 160000;
                       return i % 160000 < 90000 ? (phrase == 1 ? 0.1 : 0.3) * sine(440, 48000, 1.0)(i, 0) : 0.0;
                   }),
              1);
        ASSERT_EQ(run("add " + session + " " + quoted("audio/Voice.wav")).status, 0);
    }
    /// Every verb that speaks of the mix, each with all that it needs.
    std::vector<std::string> verbs_of_the_mix() const {
        return {"render " + session + " " + quoted("out.wav"),
                "deliver " + session + " " + quoted("delivered"),
                "play " + session + " --device simulated --seconds 0.1",
                "compare " + session + " " + quoted("audio/Pad.wav"),
                "draft " + session + " Voice --by rest",
                "draft " + session + " Voice --by heard",
                "advise " + session + " headroom --take",
                "advise " + session + " room Kick"};
    }
    void expect_refused(const std::string& reason) {
        for (const std::string& verb : verbs_of_the_mix()) {
            const std::string before = text_of_session();
            const Ran refused = run(verb);
            EXPECT_EQ(refused.status, 3) << verb << '\n' << refused.out;
            EXPECT_THAT(refused.err, HasSubstr(reason)) << verb;
            EXPECT_THAT(refused.err, HasSubstr("--without-missing")) << verb;
            EXPECT_EQ(text_of_session(), before) << verb << ": something was stored";
            EXPECT_FALSE(fs::exists(folder / "out.wav") || fs::exists(folder / "delivered")) << verb;
        }
        for (const std::string& verb : verbs_of_the_mix()) {
            const Ran let = run(verb + " --without-missing");
            EXPECT_EQ(let.status, 0) << verb << '\n' << let.err;
            EXPECT_THAT(let.err, HasSubstr(reason)) << verb << ": it is told all the same";
        }
    }
};

}  // namespace

TEST_F(Trust, verbs_of_the_mix_refuse_one_that_lacks_a_file) {
    make_session();
    fs::remove(folder / "audio/Pad.wav");
    write(folder / "other.wav", make(240000, 2, sine(330, 48000, 0.3)), 2);
    fs::copy(folder / "other.wav", folder / "audio/Pad.wav");
    change_session_text([](json& j) { j["tracks"][1]["file"] = "audio/gone.wav"; });
    expect_refused("gone.wav: the file does not exist");
    const json sheet = json::parse(read_whole(folder / "delivered/mix sheet.json", 1 << 24).value());
    ASSERT_EQ(sheet["left_out"].size(), 1u);
    EXPECT_THAT(sheet["left_out"][0].get<std::string>(), HasSubstr("gone.wav"));
}

TEST_F(Trust, verbs_of_the_mix_refuse_one_of_which_a_processor_cannot_run) {
    make_session();
    change_session_text([](json& j) {
        j["tracks"][1]["chain"] = {{{"id", 1}, {"type", "lv2"}, {"uri", "urn:isotonus:test:nowhere"}}};
    });
    expect_refused("'urn:isotonus:test:nowhere' cannot run in 'Pad': the plug-in is not installed");
    const json sheet = json::parse(read_whole(folder / "delivered/mix sheet.json", 1 << 24).value());
    ASSERT_EQ(sheet["left_out"].size(), 1u);
    EXPECT_EQ(run("check " + session).status, 1) << "a check tells it, and does not refuse to look";
}

TEST_F(Trust, verbs_of_the_mix_refuse_one_of_which_a_room_is_gone) {
    make_session();
    change_session_text([](json& j) {
        j["tracks"][1]["chain"] = {{{"id", 1}, {"type", "reverb"}, {"impulse", "no room.wav"}}};
    });
    expect_refused("no room.wav: the file does not exist");
}

TEST_F(Trust, deliver_and_render_are_one_export) {
    make_session();
    ASSERT_EQ(run("shape " + session + " main 1 compressor threshold_dbfs=-30 ratio=4").status, 0);
    for (const char* way : {"out", "in"})
        for (const char* bits : {"16", "24", "32f"}) {
            const std::string options = std::string(" --bits ") + bits + " --main-chain " + way;
            const std::string where = std::string("d") + bits + way;
            ASSERT_EQ(run("render " + session + " " + quoted("r.wav") + options).status, 0);
            ASSERT_EQ(run("deliver " + session + " " + quoted(where) + options).status, 0);
            EXPECT_EQ(read(folder / "r.wav"), read(folder / where / "mix mix.wav")) << options;
        }
    // Without the option both follow the session's own setting, and say so.
    change_session_text([](json& j) { j["hand_off"] = {{"main_chain", "in"}}; });
    const Ran rendered = run("render " + session + " " + quoted("r.wav") + " --bits 24 --json");
    EXPECT_EQ(rendered.document()["main_chain"], "in");
    EXPECT_EQ(read(folder / "r.wav"), read(folder / "d24in/mix mix.wav"));
    const json checked = run("check " + session + " --json").document();
    for (const json& c : checked["checks"])
        if (c["id"] == "main_chain") {
            EXPECT_EQ(c["text"], "the mix is exported with the main output's chain");
        }
}

TEST_F(Trust, deliver_warns_before_and_after_of_what_the_format_clips) {
    make_session();
    ASSERT_EQ(run("set " + session + " Kick fader=12 trim=12").status, 0);
    const Ran dry = run("deliver " + session + " " + quoted("d") + " --dry-run");
    EXPECT_EQ(dry.status, 0);
    EXPECT_THAT(dry.err, HasSubstr("its peaks will be clipped. Turn the main fader down by"));
    const Ran ran = run("deliver " + session + " " + quoted("d"));
    EXPECT_EQ(ran.status, 0);
    EXPECT_THAT(ran.err, HasSubstr("its peaks will be clipped"));
    EXPECT_THAT(ran.err, HasSubstr("samples above full scale were clipped"));
    EXPECT_EQ(run("deliver " + session + " " + quoted("f") + " --bits 32f").err, "");
}

TEST_F(Trust, control_characters_in_names_never_reach_the_terminal) {
    make_session();
    const std::string evil = "boat\x1b[2J\x07\x7f\xc2\x9b\nok  fake";
    change_session_text([&](json& j) {
        j["tracks"][0]["name"] = evil;
        j["buses"] = {{{"id", 77}, {"name", evil + "b"}}};
        j["next_id"] = 100;
    });
    for (const char* arguments : {"show ", "check ", "stage ", "bus ", "render "}) {
        std::string line = arguments + session;
        if (line.starts_with("bus")) line += " list";
        if (line.starts_with("render")) line += " " + quoted("o.wav") + " --stems " + quoted("stems");
        const Ran ran = run(line);
        for (const std::string& text : {ran.out, ran.err}) {
            EXPECT_EQ(text.find('\x1b'), std::string::npos) << line;
            EXPECT_EQ(text.find('\x07'), std::string::npos) << line;
            EXPECT_EQ(text.find('\x7f'), std::string::npos) << line;
            EXPECT_EQ(text.find("\xc2\x9b"), std::string::npos) << line;
            EXPECT_EQ(text.find("\nok  fake"), std::string::npos) << line << ": a name made a line of its own";
        }
    }
    EXPECT_THAT(run("show " + session).out, HasSubstr("boat\\x1b[2J\\x07\\x7f\\x9b\\x0aok  fake"));
    const Ran error = run("set " + session + " $'no\\x1b[2J' pan=0");
    EXPECT_EQ(error.err.find('\x1b'), std::string::npos);
    EXPECT_EQ(run("show " + session + " --json").document()["tracks"][0]["name"], evil) << "JSON has its own escapes";
}

// --- sizes within the limits
// ------------------------------------------------------------------------------------------

namespace {

/// The most memory that a call takes, bytes; its status goes to `status`.
int64_t memory_of(const std::string& verb, const fs::path& session, int* status) {
    const pid_t child = fork();
    if (child == 0) {
        if (!std::freopen("/dev/null", "w", stdout) || !std::freopen("/dev/null", "w", stderr)) _exit(99);
        execl(ISOTONUS_CLI, "isotonus-cli", verb.c_str(), session.c_str(), nullptr);
        _exit(99);
    }
    rusage used{};
    int ended = 0;
    wait4(child, &ended, 0, &used);
    *status = WIFEXITED(ended) ? WEXITSTATUS(ended) : -1;
    return int64_t{1024} * used.ru_maxrss;
}

constexpr int64_t max_memory = int64_t{sanitized ? 4096 : 300} << 20;

}  // namespace

// Each of these took minutes or gigabytes when it was read item by item into lists that were copied for each.
TEST_F(Trust, exports_are_kept_as_prints_with_numbers_of_their_own) {
    make_session();
    ASSERT_EQ(run("render --print " + session + " " + quoted("out.wav")).status, 0);
    const auto first = read(folder / "out.wav");
    const Ran second = run("render --print " + session + " " + quoted("out.wav"));
    ASSERT_EQ(second.status, 0) << second.err;
    EXPECT_TRUE(fs::exists(folder / "out 2.wav"));
    EXPECT_THAT(second.out, testing::HasSubstr("out 2.wav"));
    EXPECT_EQ(read(folder / "out.wav"), first);
    for (int n = 0; n < 2; ++n) ASSERT_EQ(run("deliver --print " + session + " " + quoted("delivered")).status, 0);
    const json recordings = json::parse(text_of_session())["recordings"];
    ASSERT_EQ(recordings.size(), 4u);
    EXPECT_EQ(recordings[0]["name"], "out");
    EXPECT_EQ(recordings[1]["name"], "out 2");
    EXPECT_NE(recordings[2]["name"], recordings[3]["name"]);
    for (const json& r : recordings) EXPECT_TRUE(r.contains("session")) << r.dump();
    // Without --print a print is not written over.
    EXPECT_NE(run("render " + session + " " + quoted("out.wav")).status, 0);
    EXPECT_EQ(read(folder / "out.wav"), first);
}

TEST_F(Trust, sessions_as_large_as_the_limits_are_read_or_refused_without_much_memory) {
    // What this program holds when it starts another counts as that one's: the text goes first.
    const auto expect = [&](const std::string& what, std::string text, int wanted) {
        const fs::path file = folder / "large.isotonus";
        std::ofstream(file) << text;
        text = {};
        int status = -1;
        const int64_t bytes = memory_of("show", file, &status);
        EXPECT_EQ(status, wanted) << what;
        EXPECT_LT(bytes, max_memory) << what << ": " << bytes / (1 << 20) << " MB";
    };
    const std::string begin = R"({"format":"isotonus-session","version":6,"sample_rate":48000,)";
    const auto ride_of = [&](int64_t points, bool up) {
        std::string text = begin + R"("tracks":[{"id":1,"name":"a","file":"a.wav","rides":{"level":[)";
        for (int64_t n = 0; n < points; ++n)
            text += fmt::format("{}{{\"time_s\":{}.5,\"value\":-3.25,\"segment\":\"line\"}}", n ? "," : "",
                                up ? n % 999999 : 999998 - n % 999999);
        return text + "]}}]}";
    };
    expect("a million points", ride_of(1000000, true), 0);
    expect("a million points, the last first", ride_of(1000000, false), 0);
    expect("one point too many", ride_of(1000001, true), 3);
    const auto buses = [&](const std::function<int64_t(int64_t)>& output) {
        std::string text = begin + R"("tracks":[{"id":1,"name":"a","file":"a.wav","output":2}],"buses":[)";
        for (int64_t n = 0; n < 10000; ++n)
            text += fmt::format("{}{{\"id\":{},\"name\":\"b{}\",\"output\":{}}}", n ? "," : "", n + 2, n, output(n));
        return text + "]}";
    };
    expect("buses in a line", buses([](int64_t n) { return n < 9999 ? n + 3 : 0; }), 0);
    expect("buses in a line, the last first", buses([](int64_t n) { return n > 0 ? n + 1 : 0; }), 0);
    expect("buses side by side", buses([](int64_t) { return 0; }), 0);
    expect("buses in a ring", buses([](int64_t n) { return n < 9999 ? n + 3 : 2; }), 3);
    std::string processors = begin + R"("tracks":[)";
    for (int64_t n = 0; n < 1600; ++n) {
        processors +=
            fmt::format("{}{{\"id\":{},\"name\":\"t{}\",\"file\":\"a.wav\",\"chain\":[", n ? "," : "", n + 1, n);
        for (int p = 0; p < 63; ++p)
            processors +=
                fmt::format("{}{{\"id\":{},\"type\":\"width\",\"in\":true,\"width\":50.0}}", p ? "," : "", p + 1);
        processors += "]}";
    }
    expect("a hundred thousand processors", std::move(processors) + "]}", 0);
    std::string huge = begin + "\"tracks\":[";
    huge.append(size_t{200} << 20, ' ');
    huge += "]}";
    expect("a file of 200 MB", std::move(huge), 3);
    expect(
        "a list without end",
        begin + "\"strange\":[" +
            [] {
                std::string zeros;
                for (int n = 0; n < 1500000; ++n) zeros += "0,";
                return zeros + "0]}";
            }(),
        3);
}
