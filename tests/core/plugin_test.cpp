// Plug-ins from outside: Debian's lv2-examples, copies of them, and some that do what none should.
#include "core/foreign/plugins.h"

#include <fmt/format.h>
#include <gmock/gmock.h>

#include <signal.h>
#include <unistd.h>

#include <thread>

#include "core/files/artifact_cache.h"
#include "core/foreign/host_process.h"
#include "core/handoff/checks.h"
#include "core/session/session_file.h"
#include "core/session/validate.h"
#include "tests/support/chains.h"
#include "tests/support/plugins.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

/// A row with a file of noise, and what a chain makes of it.
struct PluggedRow : Plugins {
    Shaped mix;
    explicit PluggedRow(int channels = 2)
        : mix({write(folder / "row.wav", make(100000, channels, noise(1, 0.4)), channels)}) {}
    std::vector<float> made(const Chain& chain, const Rides& rides = {}) {
        mix.change(0, [&](Track& t) { t.chain = chain, t.rides = rides; });
        EXPECT_TRUE(validate(mix.session)) << validate(mix.session).error().text();
        EXPECT_TRUE(mix.row_signals.make(mix.session, mix.file_of()));
        const MaterialPtr played = mix.row_signals.played(mix.session, *mix.session.tracks[0], mix.file_of());
        EXPECT_TRUE(played);
        if (!played) return {};
        signal = signal_of(played);
        std::vector<float> samples(static_cast<size_t>(played->frames() * played->channels()));
        EXPECT_TRUE(played->open().value()->read(0, played->frames(), samples.data()));
        return samples;
    }
    std::vector<float> file() { return read(folder / "row.wav"); }
    std::shared_ptr<const Signal> signal;
};

void put_file(const fs::path& file, const std::string& text) { std::ofstream(file) << text; }

/// Kills one that this program has started, as somebody from outside would; false: there is none.
bool kill_a_host() {
    std::error_code ignored;
    for (const auto& process : fs::directory_iterator("/proc", ignored)) {
        // "PID (NAME) STATE PARENT …", see proc(5); names are cut to 15 letters.
        std::ifstream file(process.path() / "stat");
        std::string pid, name, state;
        pid_t parent = 0;
        if (file >> pid >> name >> state >> parent && parent == getpid() && name == "(isotonus-plugin)" && state != "Z")
            return kill(std::stoi(pid), SIGKILL) == 0;
    }
    return false;
}

Processor plugin(const std::string& type, std::initializer_list<std::pair<const char*, double>> values = {},
                 uint64_t id = 1) {
    return processor(type.c_str(), values, id);
}

}  // namespace

TEST(PluginList, says_what_can_be_used_and_why_the_rest_cannot) {
    Plugins plugins;
    plugins.add("/usr/lib/lv2/eg-fifths.lv2");
    plugins.add_odd();
    const auto found = scan_plugins(nullptr, 2500);
    ASSERT_TRUE(found) << found.error().text();
    const Plugin* amp = Plugins::find(*found, amplifier);
    ASSERT_TRUE(amp && amp->type);
    EXPECT_EQ(amp->name, "Simple Amplifier");
    EXPECT_EQ(amp->kind, "Amplifier");
    // Of the file amp.ttl of lv2-examples 1.18.4.
    const ParameterInfo* gain = amp->type->find("gain");
    ASSERT_TRUE(gain);
    EXPECT_STREQ(gain->unit, "dB");
    EXPECT_STREQ(gain->name, "Gain");
    EXPECT_EQ(gain->low, -90.0);
    EXPECT_EQ(gain->high, 24.0);
    EXPECT_EQ(gain->rest, 0.0);
    const auto fault_of = [&](const std::string& type) {
        const Plugin* p = Plugins::find(*found, type);
        EXPECT_TRUE(p) << type;
        EXPECT_EQ(p && p->type, p && p->fault.empty()) << type;
        return p ? p->fault : "";
    };
    EXPECT_THAT(fault_of("lv2:http://lv2plug.in/plugins/eg-fifths"),
                HasSubstr("not an effect for one or two channels"));
    EXPECT_EQ(fault_of(odd("late")), "");
    EXPECT_THAT(fault_of(odd("crashes-at-once")), HasSubstr("crashed"));
    EXPECT_THAT(fault_of(odd("hangs-at-once")), HasSubstr("did not answer in time (2.5 s)"));
    EXPECT_THAT(fault_of(odd("refuses")), HasSubstr("cannot be started"));
    EXPECT_THAT(fault_of(odd("claims")), HasSubstr("impossible latency"));
    EXPECT_EQ(fault_of(odd("crashes")), "") << "a crash costs one plug-in: the others of its bundle are found";

    EXPECT_EQ(plugins_like(*found, "AMPLI simple").size(), 1u);
    EXPECT_EQ(plugins_like(*found, "isotonus:test").size(), 11u);
    EXPECT_EQ(plugins_like(*found, "no such thing").size(), 0u);
}

TEST(PluginList, is_kept_and_only_what_changed_is_looked_at_again) {
    Plugins plugins;
    for (int n = 0; n < 3; ++n) plugins.add_amplifier(n);
    plugins.scan();
    const auto list = [] {
        const auto files = entries_of(artifact_file(Artifact::plugin_list, "").parent_path()).value();
        return read_whole(files.at(0), 1 << 20).value();
    };
    const std::string kept = list();
    {
        // Without a host nothing can be looked at; nothing needs to be.
        const Environment none("ISOTONUS_PLUGIN_HOST", "/nowhere/host");
        plugins.scan();
        EXPECT_EQ(list(), kept);
        plugins.add_amplifier(3);
        EXPECT_THAT(scan_plugins().error().text(), HasSubstr("/nowhere/host: the plug-in host is missing"));
        EXPECT_TRUE(plugin_type(amplifier)) << "what was known stays";
    }
    plugins.scan();
    EXPECT_TRUE(plugin_type("lv2:http://lv2plug.in/plugins/amp003"));
    fs::remove_all(plugins.folder / "lv2/amp003.lv2");
    plugins.scan();
    const auto known = known_plugins();
    const Plugin* gone = Plugins::find(known, "lv2:http://lv2plug.in/plugins/amp003");
    ASSERT_TRUE(gone);
    EXPECT_TRUE(gone->missing);
}

TEST(PluginList, can_be_cancelled_at_once) {
    Plugins plugins;
    plugins.add_odd();
    Progress progress;
    std::thread other([&] {
        std::this_thread::sleep_for(std::chrono::milliseconds(100));
        progress.cancel();
    });
    const auto begun = std::chrono::steady_clock::now();
    const auto found = scan_plugins(&progress, 60000);  // it hangs for a minute
    other.join();
    ASSERT_FALSE(found);
    EXPECT_EQ(found.error().what, "cancelled");
    EXPECT_LT(std::chrono::steady_clock::now() - begun, std::chrono::seconds(10));
}

TEST(PluginsInChains, do_what_they_do_to_the_sample_in_mono_and_in_stereo) {
    for (const int channels : {1, 2}) {
        PluggedRow row(channels);
        row.scan();
        const auto file = row.file(), out = row.made({plugin(amplifier, {{"gain", -6.0}})});
        ASSERT_EQ(out.size(), file.size());
        // eg-amp: 10^(dB / 20), as its source says.
        const float gain = std::pow(10.0f, -6.0f * 0.05f);
        for (size_t i = 0; i < out.size(); ++i) ASSERT_FLOAT_EQ(out[i], file[i] * gain) << i;
        EXPECT_EQ(row.signal->fault(0), "");
    }
}

// LV2's extension "state", loadDefaultState: what its data say it remembers is there before it runs.
TEST(PluginsInChains, begin_with_the_state_that_their_data_name) {
    PluggedRow row;
    row.add_odd();
    row.scan();
    const auto file = row.file();
    for (int time = 0; time < 2; ++time) {
        const auto out = row.made({plugin(odd("remembers"), {{"after", 1.0 + time}})});
        ASSERT_EQ(row.signal->fault(0), "");
        for (size_t i = 0; i < file.size(); ++i) ASSERT_EQ(out[i], 0.25f * file[i]) << i;
    }
}

TEST(PluginsInChains, that_are_late_are_brought_forward_and_ride) {
    PluggedRow row;
    row.add_odd();
    row.scan();
    const auto file = row.file();
    const auto late = row.made({plugin(odd("late"))});
    ASSERT_GE(late.size(), file.size());
    for (size_t i = 0; i < file.size(); ++i) ASSERT_EQ(late[i], 0.5f * file[i]) << i;

    // Half of it, between an equaliser and a compressor: dry and wet are in time.
    const Chain around{processor("low_cut", {{"hz", 100.0}}, 1), plugin(odd("late"), {{"mix", 50.0}}, 2),
                       processor("compressor", {{"threshold_dbfs", -30.0}}, 3)};
    Chain as_gain = around;
    as_gain[1] = processor("width", {{"output_db", 20.0 * std::log10(0.75)}}, 2);
    const auto mixed = row.made(around);
    const auto signal = row.signal;
    const auto wanted = row.made(as_gain);
    for (size_t i = 0; i < wanted.size(); ++i) ASSERT_NEAR(mixed[i], wanted[i], 1e-6) << i;
    EXPECT_NEAR(signal->reduction(2)->max_db, row.signal->reduction(2)->max_db, 1e-3);
    EXPECT_FALSE(signal->reduction(1));

    // A ride is followed at every 64th frame.
    const ParameterInfo& gain = *plugin_type(amplifier)->find("gain");
    Rides rides;
    rides.set(Parameter(gain, 1), ride({{0.0, 0.0}, {1.0, -24.0}}));
    const auto ridden = row.made({plugin(amplifier)}, rides);
    for (size_t frame = 0; frame < 48000; frame += 777) {
        const double db = -24.0 * static_cast<double>(frame / 64 * 64) / 48000.0;
        EXPECT_NEAR(ridden[2 * frame], static_cast<double>(file[2 * frame]) * gain_from_db(db), 2e-3) << frame;
    }
}

TEST(PluginsInChains, that_go_wrong_are_taken_out_with_a_sentence_and_nothing_stops) {
    PluggedRow row;
    row.add_odd();
    row.scan();
    const auto file = row.file();
    for (const auto& [way, why] : {std::pair{"crashes", "the plug-in crashed"},
                                   {"writes-nan", "the output of the plug-in has corrupt samples (NaN)"},
                                   {"changes", "the plug-in changes its latency while it runs"},
                                   {"hangs", "the plug-in did not answer in time"}}) {
        const auto out =
            row.made({processor("low_cut", {{"hz", 20.0}, {"output_db", -6.0}}, 1), plugin(odd(way), {}, 2)});
        EXPECT_THAT(row.signal->fault(1), HasSubstr(why)) << way;
        EXPECT_THAT(plugin_fault(odd(way)).value_or(""), HasSubstr(why));
        const auto without = row.made({processor("low_cut", {{"hz", 20.0}, {"output_db", -6.0}}, 1)});
        EXPECT_EQ(out, without) << way << ": it lets through what comes in";
    }
    // It is found among the checks, and tried again when that is asked for: later than the song lasts.
    const auto out = row.made({plugin(odd("crashes"))});
    EXPECT_EQ(out, file);
    EXPECT_FALSE(row.signal) << "nothing is at work";
    const PlanPtr plan = row.mix.shaped_plan();
    const auto checks = checks_of(row.mix.session, plan, {});
    ASSERT_TRUE(checks);
    const auto told = std::find_if(checks->begin(), checks->end(), [](const Check& c) { return c.id == "cannot_run"; });
    ASSERT_NE(told, checks->end());
    EXPECT_FALSE(told->passed);
    EXPECT_THAT(told->text, HasSubstr("Odd, crashes"));
    try_plugin_again(odd("crashes"));
    const auto again = row.made({plugin(odd("crashes"), {{"after", 50.0}})});
    EXPECT_EQ(row.signal->fault(0), "");
    EXPECT_EQ(again[5001], 0.5f * file[5001]);
}

// A session from elsewhere names them: what they can do must not be what the user can do.
TEST(PluginsInChains, can_read_their_own_files_and_work_on_threads_and_do_nothing_else) {
    PluggedRow row;
    row.add_odd();
    row.scan();
    const auto file = row.file(), out = row.made({plugin(odd("reaches-out"))});
    ASSERT_EQ(row.signal->fault(0), "");
    EXPECT_NE(out[5001], file[5001]) << "something was possible that no plug-in may do";
    EXPECT_EQ(out[5001], 0.5f * file[5001]) << "its own work was not possible";
    EXPECT_FALSE(fs::exists("/tmp/isotonus-odd-was-here"));
}

TEST(PluginsInChains, live_on_when_the_thread_that_started_them_ends) {
    PluggedRow row;
    row.add_odd();
    row.scan();
    const auto file = row.file();
    // The host that the first signal was made by is idle afterwards, and its thread is gone.
    std::thread([&] { row.made({plugin(odd("late"), {{"after", 2.0}})}); }).join();
    const auto out = row.made({plugin(odd("late"), {{"after", 3.0}})});
    EXPECT_EQ(row.signal->fault(0), "");
    EXPECT_EQ(out[5001], 0.5f * file[5001]);
    EXPECT_FALSE(plugin_fault(odd("late")));
}

// One that was killed by somebody is started again, and what is kept is as if nothing had been.
TEST(PluginsInChains, that_are_killed_once_are_begun_again_from_the_songs_start) {
    PluggedRow row;
    row.add_odd();
    row.scan();
    const auto wanted = row.made({plugin(odd("late"), {{"after", 2.0}})});
    std::atomic<bool> done = false;
    std::thread killer([&done] {
        // The first that runs; those that come after it are left alone.
        for (int tries = 0; tries < 2000 && !done; ++tries) {
            if (kill_a_host()) return;
            std::this_thread::sleep_for(std::chrono::milliseconds(1));
        }
    });
    const auto out = row.made({plugin(odd("late"), {{"after", 2.5}})});
    done = true;
    killer.join();
    EXPECT_EQ(row.signal->fault(0), "");
    EXPECT_EQ(out, wanted);
}

TEST(PluginsInChains, whose_host_answers_in_part_hang_nobody) {
    PluggedRow row;
    row.add_odd();
    row.scan();
    put_file(row.folder / "host", "#!/bin/sh\nprintf abc >&3\nexec sleep 600\n");
    fs::permissions(row.folder / "host", fs::perms::owner_all);
    const Environment other("ISOTONUS_PLUGIN_HOST", (row.folder / "host").string());
    const auto file = row.file(), out = row.made({plugin(odd("remembers"), {{"after", 9.0}})});
    EXPECT_EQ(out, file);
    EXPECT_THAT(plugin_fault(odd("remembers")).value_or(""), HasSubstr("the plug-in did not answer in time"));
    try_plugin_again(odd("remembers"));
}

// Reading a session starts nothing; what the user never let be looked at is not started for being named either.
TEST(PluginsInChains, are_started_only_when_they_are_named_and_known_to_the_user) {
    PluggedRow row;
    row.add_odd();
    const fs::path started = row.folder / "started";
    put_file(row.folder / "host", "#!/bin/sh\necho \"$@\" >>'" + started.string() + "'\nexec '" +
                                      foreign::host_program().string() + "' \"$@\"\n");
    fs::permissions(row.folder / "host", fs::perms::owner_all);
    const Environment other("ISOTONUS_PLUGIN_HOST", (row.folder / "host").string());
    const Environment cache("XDG_CACHE_HOME", (row.folder / "fresh").string());
    const std::string session = (row.folder / "s.isotonus").string(), quoted = "'" + session + "'";
    put_file(session, R"({"format":"isotonus-session","version":6,"sample_rate":48000,"tracks":[{"id":1,"name":"row",
        "file":"row.wav","chain":[{"id":1,"type":"lv2","uri":"urn:isotonus:test:late","after":2.0}]}]})");
    int status = 0;
    output_of("'" ISOTONUS_CLI "' show " + quoted, &status);
    EXPECT_EQ(status, 0);
    EXPECT_FALSE(fs::exists(started)) << "showing a session started something";
    const std::string out = (row.folder / "out.wav").string();
    const std::string said = output_of("'" ISOTONUS_CLI "' render " + quoted + " '" + out + "' 2>&1", &status);
    EXPECT_EQ(status, 3);
    EXPECT_THAT(said, HasSubstr("'Odd, late' cannot run in 'row': the plug-in is in"));
    EXPECT_FALSE(fs::exists(out));
    const std::string seen = read_whole(started, 1 << 20).value();
    EXPECT_THAT(seen, HasSubstr("--describe"));
    EXPECT_THAT(seen, testing::Not(HasSubstr("--run"))) << "a plug-in of the user's folder ran unasked";
    for (size_t at = 0; at < seen.size(); at = seen.find('\n', at) + 1)
        EXPECT_THAT(seen.substr(at, seen.find('\n', at) - at), HasSubstr("--describe"));
    output_of("'" ISOTONUS_CLI "' plugins scan 2>&1", &status);
    EXPECT_EQ(status, 0);
    output_of("'" ISOTONUS_CLI "' render " + quoted + " '" + out + "' --bits 32f 2>&1", &status);
    EXPECT_EQ(status, 0) << "the user has looked at it";
    EXPECT_EQ(read(out)[2 * 5000 + 1], 0.5f * row.file()[2 * 5000 + 1]);
}

TEST(PluginsInChains, that_are_gone_play_what_was_kept_and_let_through_what_was_not) {
    PluggedRow row;
    row.add_odd();
    row.scan();
    const Chain chain{plugin(odd("late"), {{"after", 3.0}}), processor("width", {{"width", 50.0}}, 2)};
    const auto made = row.made(chain);
    ASSERT_TRUE(write_session(row.mix.session, row.folder / "s.isotonus"));
    fs::remove_all(row.folder / "lv2/odd.lv2");
    row.scan();
    row.mix.row_signals = {};
    const auto opened = read_session(row.folder / "s.isotonus");
    ASSERT_TRUE(opened) << opened.error().text();
    EXPECT_EQ(opened->tracks[0]->chain, row.mix.session.tracks[0]->chain) << "with its values, though it is gone";
    EXPECT_EQ(row.made(opened->tracks[0]->chain), made) << "kept from the last time";
    Chain other = chain;
    other[0].values["after"] = 4.0;
    const auto through = row.made(other);
    EXPECT_EQ(row.signal->fault(0), "the plug-in is not installed");
    EXPECT_EQ(through, row.made({chain[1]}));
}

TEST(PluginsInChains, are_heard_at_once_and_gone_over_from_the_songs_start_later) {
    PluggedRow row;
    row.scan();
    row.mix.change(0, [](Track& t) { t.chain = {plugin(amplifier, {{"gain", -12.0}})}; });
    const auto recipe = row.mix.row_signals.recipe(row.mix.session, *row.mix.session.tracks[0], row.mix.file_of());
    const MaterialPtr now = provisional_signal(*recipe);
    std::vector<float> heard(2 * 5000);
    auto reader = now->open().value();
    ASSERT_TRUE(reader->read(60000, 5000, heard.data()));
    const auto file = row.file();
    for (size_t i = 0; i < heard.size(); ++i) ASSERT_FLOAT_EQ(heard[i], file[2 * 60000 + i] * std::pow(10.0f, -0.6f));
}

TEST(PluginsInChains, are_looked_for_when_a_session_names_one_that_is_not_known) {
    PluggedRow row;
    row.scan();
    row.mix.change(0, [](Track& t) { t.chain = {plugin(amplifier, {{"gain", -3.0}})}; });
    ASSERT_TRUE(write_session(row.mix.session, row.folder / "s.isotonus"));
    // As another program sees it that never looked.
    int status = 0;
    const std::string said =
        output_of("XDG_CACHE_HOME='" + (row.folder / "other").string() + "' '" ISOTONUS_CLI "' shape '" +
                      (row.folder / "s.isotonus").string() + "' row --json",
                  &status);
    EXPECT_EQ(status, 0) << said;
    EXPECT_THAT(said, HasSubstr("\"gain\": -3.0"));
    EXPECT_THAT(said, testing::Not(HasSubstr("unknown")));
}

TEST(PluginsInChains, keep_what_a_newer_version_of_them_would_not_take) {
    PluggedRow row;
    row.scan();
    row.mix.change(0, [](Track& t) { t.chain = {plugin(amplifier, {{"gain", 20.0}})}; });
    ASSERT_TRUE(write_session(row.mix.session, row.folder / "s.isotonus"));
    std::string text = read_whole(row.folder / "s.isotonus", 1 << 20).value();
    text.replace(text.find("\"gain\": 20.0") + 8, 4, "99.0");
    std::ofstream(row.folder / "s.isotonus") << text;
    const auto opened = read_session(row.folder / "s.isotonus");
    ASSERT_TRUE(opened) << opened.error().text();
    EXPECT_EQ(opened->tracks[0]->chain[0].values.at("gain"), 24.0) << "its range ends there";
    // One that was never here is kept as it is, and does nothing.
    text.replace(text.find("eg-amp"), 6, "eg-boat");
    std::ofstream(row.folder / "s.isotonus") << text;
    const auto strange = read_session(row.folder / "s.isotonus");
    ASSERT_TRUE(strange) << strange.error().text();
    EXPECT_EQ(strange->tracks[0]->chain[0].type, "lv2:http://lv2plug.in/plugins/eg-boat");
    ASSERT_TRUE(write_session(*strange, row.folder / "t.isotonus"));
    EXPECT_EQ(read_whole(row.folder / "t.isotonus", 1 << 20).value(), text);
}
