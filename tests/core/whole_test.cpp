// Exports are what was asked for: in any blocks, from any place, whatever was done before, and whole.
#include "core/mix/whole.h"

#include <fcntl.h>
#include <gmock/gmock.h>
#include <sys/stat.h>

#include <fstream>

#include "core/handoff/checks.h"
#include "core/handoff/sheet.h"
#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "tests/support/chains.h"
#include "tests/support/exports.h"
#include "tests/support/faults.h"

using namespace isotonus;
using namespace isotonus::test;
using testing::HasSubstr;

namespace {

std::vector<float> stretch_of(const PlanPtr& plan, int64_t first, int64_t frames, int block) {
    std::vector<float> all;
    EXPECT_TRUE(render_stretch(plan, {first, frames}, block, [&](std::span<const float> x) -> Result<void> {
        all.insert(all.end(), x.begin(), x.end());
        return {};
    }));
    return all;
}

void expect_same_everywhere(const PlanPtr& plan, const std::string& what) {
    const auto whole = rendered(plan, 4096);
    for (const int block : {1, 333, 4096}) ASSERT_EQ(rendered(plan, block), whole) << what << ", blocks of " << block;
    for (const int64_t first : {int64_t{1}, int64_t{1322}, int64_t{1349}, int64_t{1350}, plan->frames / 2 + 7}) {
        const int64_t frames = std::min<int64_t>(2000, plan->frames - first);
        const auto part = stretch_of(plan, first, frames, 777);
        ASSERT_TRUE(std::equal(part.begin(), part.end(), whole.begin() + 2 * first)) << what << ", from " << first;
    }
}

}  // namespace

// Both are filters, and sound before what they filter: a reader that begins with the clip begins too late.
TEST(Blocks, cannot_be_heard_where_a_delay_is_no_whole_sample_or_the_low_end_is_kept_in_the_centre) {
    Folder folder;
    for (const double delay : {1350.67, 0.5, 33.01, -3.25, 5000.0}) {
        Mix mix({write(folder / "a.wav", make(9000, 2, noise(1, 0.5)), 2),
                 write(folder / "b.wav", make(7000, 1, noise(2, 0.5)), 1)});
        mix.change(0, [&](Track& t) { t.delay_samples = delay; });
        mix.change(1, [&](Track& t) { t.delay_samples = delay / 2.0; });
        expect_same_everywhere(mix.plan(), fmt::format("delay {}", delay));
        mix.change(0, [&](Track& t) { t.mono_below_hz = 120.0; });
        expect_same_everywhere(mix.plan(), fmt::format("delay {}, low end in the centre", delay));
    }
}

// A sinc that is as far from one sample as from the next is the same to both sides of itself: closed form.
TEST(Delays, of_half_a_sample_are_symmetric_around_where_a_click_stands) {
    Folder folder;
    std::vector<float> click(2000, 0.0f);
    click[0] = 0.5f;
    Mix mix({write(folder / "click.wav", click, 1)});
    mix.change(0, [](Track& t) { t.delay_samples = 100.5; });
    const auto out = rendered(mix.plan(), 64);
    double energy = 0.0;
    for (size_t k = 0; k < 32; ++k) {
        EXPECT_NEAR(out[2 * (100 - k)], out[2 * (101 + k)], 1e-7) << k;
        energy += std::pow(static_cast<double>(out[2 * (100 - k)]), 2.0);
    }
    EXPECT_NEAR(out[2 * 100], 0.5 * std::sqrt(0.5) * std::sin(std::numbers::pi / 2) / (std::numbers::pi / 2), 5e-3);
    EXPECT_GT(energy, 0.05);
    EXPECT_EQ(out[2 * 60], 0.0f) << "the filter reaches 32 samples, not farther";
}

// Reading may begin at any checkpoint; what rides must be where it would have been.
TEST(Rides, of_every_parameter_of_every_processor_give_the_same_bits_wherever_reading_begins) {
    Folder folder;
    const int64_t frames = sanitized ? 20000 : 40000;
    const auto source = load_material(write(folder / "x.wav", make(frames, 2, noise(5, 0.4)), 2), 48000).value();
    for (const ProcessorType* type : processor_types()) {
        const Processor p = new_processor(*type, {});
        for (const ParameterInfo* info : parameters_of(p)) {
            SignalRecipe recipe;
            recipe.source.material = source;
            recipe.chain = {p};
            recipe.rides.set(Parameter(*info, p.id), ride({{0.0, value_at_position(Parameter(*info), 0.2)},
                                                           {0.25, value_at_position(Parameter(*info), 0.9)},
                                                           {0.5, value_at_position(Parameter(*info), 0.4)}}));
            const auto made = make_signal(recipe);
            ASSERT_TRUE(made) << made.error().text();
            const int64_t length = std::min<int64_t>((*made)->frames(), frames + 5000);
            std::vector<float> whole(static_cast<size_t>(2 * length));
            ASSERT_TRUE((*made)->open().value()->read(0, length, whole.data()));
            for (const int64_t first : {int64_t{100}, int64_t{4096}, int64_t{9999}, length - 3000}) {
                const auto reader = open_running(signal_of(*made)).value();
                std::vector<float> part(2 * 2000);
                for (int64_t at = 0; at < 2000; at += 500)
                    ASSERT_TRUE(reader->read(first + at, 500, part.data() + 2 * at));
                ASSERT_TRUE(std::equal(part.begin(), part.end(), whole.begin() + 2 * first))
                    << type->id << ' ' << info->id << " from " << first;
            }
        }
    }
}

// At 8 kHz lines are short, at 768 kHz long: whatever has room for some rate has room for all that a session may have.
TEST(Processors, run_at_every_rate_that_is_allowed) {
    for (const int rate : {8000, 11025, 44100, 96000, 192000, 352800, 384000, 705600, 768000})
        for (const ProcessorType* type : processor_types())
            for (const int channels : {1, 2}) {
                Processor p = new_processor(*type, {});
                for (const ParameterInfo& info : type->parameters)
                    if (info.words.empty()) set_value(p, info, info.high);
                for (const Processor& one : {new_processor(*type, {}), p}) {
                    const auto out = through({one}, make(rate / 20, channels, noise(1, 0.9)), channels, rate);
                    for (const float x : out) ASSERT_TRUE(std::isfinite(x)) << type->id << " at " << rate;
                }
            }
}

TEST(Signals, of_a_bus_have_the_length_of_their_rows_whatever_was_made_before) {
    Folder folder;
    Shaped mix({write(folder / "short.wav", make(20000, 1, noise(1, 0.3)), 1),
                write(folder / "long.wav", make(60000, 1, noise(2, 0.3)), 1)});
    TrackId bus = 0;
    mix.session = with_new_bus(mix.session, "bus", {}, {mix.id(0), mix.id(1)}, &bus);
    mix.session = with_chain(mix.session, bus, [](Chain& c) { c = {processor("delay", {{"feedback", 50.0}})}; });
    const Session open = mix.session;
    const Session muted = with_track(open, mix.id(1), [](Track& t) { t.mute = true; });
    const Session gone = without_tracks(open, {mix.id(1)});
    const auto fresh = [&](const Session& session) {
        Shaped other(std::vector<fs::path>{});
        other.session = session;
        const PlanPtr plan = other.shaped_plan();
        return std::pair{plan->frames, rendered(plan, 4096)};
    };
    // One after the other with what was made before, in every order of two.
    for (const Session* before : {&open, &muted, &gone})
        for (const Session* now : {&open, &muted, &gone}) {
            Shaped history(std::vector<fs::path>{});
            history.session = *before;
            (void)history.shaped_plan();
            history.session = *now;
            const PlanPtr plan = history.shaped_plan();
            const auto& [frames, samples] = fresh(*now);
            EXPECT_EQ(plan->frames, frames);
            EXPECT_EQ(rendered(plan, 4096), samples);
        }
}

// --- whole or refused
// -------------------------------------------------------------------------------------------------

TEST(Whole, is_not_a_mix_with_processors_that_are_not_known_or_lack_their_room) {
    Folder folder;
    Shaped mix({write(folder / "a.wav", make(20000, 1, noise(1, 0.3)), 1)});
    const auto absent = [&](const Chain& chain, bool main = false) {
        mix.session = with_chain(mix.session, main ? main_output : mix.id(0), [&](Chain& c) { c = chain; });
        std::vector<std::string> texts;
        for (const AbsentProcessor& p : absent_processors(mix.session, *mix.shaped_plan(), main))
            texts.push_back(p.text);
        return texts;
    };
    EXPECT_TRUE(absent({processor("width")}).empty());
    Processor unknown = processor("width");
    unknown.type = "time_machine";
    unknown.values.clear();
    EXPECT_THAT(
        absent({unknown}),
        testing::ElementsAre("'time_machine' cannot run in 'a': this version of Isotonus does not know the processor"));
    unknown.in = false;
    EXPECT_TRUE(absent({unknown}).empty()) << "nobody asks for one that is bypassed";
    Processor room = processor("reverb");
    room.impulse = folder / "none.wav";
    EXPECT_THAT(absent({room}), testing::ElementsAre(HasSubstr("none.wav: the file does not exist")));
    EXPECT_TRUE(absent({}).empty());
    EXPECT_THAT(absent({room}, true), testing::ElementsAre(HasSubstr("in 'main'")));
    EXPECT_TRUE(absent_processors(mix.session, *mix.shaped_plan(), false).empty())
        << "a main chain that is not exported lacks nothing";
    mix.session.chains_out = true;
    EXPECT_TRUE(absent_processors(mix.session, *mix.shaped_plan(), true).empty());
}

TEST(Whole, is_no_export_of_a_source_that_is_written_over_while_it_is_rendered) {
    Folder folder;
    const fs::path a = write(folder / "a.wav", make(400000, 1, noise(1, 0.3)), 1);
    const std::string other = read_whole(write(folder / "b.wav", make(400000, 1, noise(2, 0.3)), 1), 1 << 24).value();
    Mix mix({a});
    const PlanPtr plan = mix.plan();
    struct stat before {};
    ASSERT_EQ(stat(a.c_str(), &before), 0);
    int writes = 0;
    // In the middle of the export somebody writes other samples in place, and gives the file its old time.
    set_file_fault([&](FileStep step, const fs::path& file) {
        if (step == FileStep::write && file.parent_path() == folder.path() && ++writes == 4) {
            std::fstream(a, std::ios::in | std::ios::out | std::ios::binary) << other;
            const timespec times[2] = {before.st_atim, before.st_mtim};
            utimensat(AT_FDCWD, a.c_str(), times, 0);
        }
        return 0;
    });
    const auto done = export_mix(plan, mix_into(folder / "out.wav"), mix.session);
    set_file_fault({});
    ASSERT_FALSE(done);
    EXPECT_THAT(done.error().text(), HasSubstr("a.wav: the file changed after it was measured. Try again."));
    EXPECT_FALSE(fs::exists(folder / "out.wav"));
    EXPECT_FALSE(sources_unchanged(*plan));
    EXPECT_TRUE(export_mix(mix.plan(), mix_into(folder / "out.wav"), mix.session)) << "read again, it is what it is";
}

// A track that nobody hears, and that a compressor listens to, is in the export all the same.
TEST(Whole, is_no_export_when_the_file_of_a_sidechain_source_has_changed) {
    Folder folder;
    const fs::path key = write(folder / "key.wav", make(20000, 1, noise(2, 0.9)), 1);
    Shaped mix({write(folder / "a.wav", make(20000, 1, noise(1, 0.3)), 1), key});
    mix.change(1, [](Track& t) { t.mute = true; });
    mix.change(0, [&](Track& t) {
        t.chain = {processor("compressor", {{"threshold_dbfs", -30.0}})};
        t.chain[0].key = mix.id(1);
    });
    const PlanPtr plan = mix.shaped_plan();
    EXPECT_TRUE(sources_unchanged(*plan));
    write(key, make(20000, 1, noise(5, 0.9)), 1);
    const auto same = sources_unchanged(*plan);
    ASSERT_FALSE(same);
    EXPECT_THAT(same.error().text(), HasSubstr("key.wav: the file changed after it was measured"));
}

TEST(Whole, is_no_export_of_a_room_that_has_changed) {
    Folder folder;
    write(folder / "room.wav", make(3000, 1, noise(3, 0.3)), 1);
    Shaped mix({write(folder / "a.wav", make(20000, 1, noise(1, 0.3)), 1)});
    mix.change(0, [&](Track& t) {
        t.chain = {processor("reverb")};
        t.chain[0].impulse = folder / "room.wav";
    });
    const PlanPtr plan = mix.shaped_plan();
    EXPECT_TRUE(sources_unchanged(*plan));
    write(folder / "room.wav", make(3000, 1, noise(4, 0.3)), 1);
    const auto same = sources_unchanged(*plan);
    ASSERT_FALSE(same);
    EXPECT_THAT(same.error().text(), HasSubstr("room.wav: 'reverb' changed after its sound was computed"));
}

// --- ids
// --------------------------------------------------------------------------------------------------------------

TEST(Ids, are_never_given_twice_also_after_saving) {
    Folder folder;
    std::vector<fs::path> files;
    for (const char* name : {"a.wav", "b.wav", "c.wav"})
        files.push_back(write(folder / name, make(2000, 1, noise(1, 0.3)), 1));
    Session s = with_files({}, {files[0], files[1]});
    const TrackId newest = s.tracks[1]->id;
    s = with_track(s, s.tracks[0]->id, [&](Track& t) {
        t.chain = {processor("compressor")};
        t.chain[0].key = newest;
    });
    s.selections[2] = {newest};
    s.anchor_order = {newest, s.tracks[0]->id};
    s = with_new_group(s, "group", {}, {newest, s.tracks[0]->id});
    std::vector<std::string> told;
    const Session without = without_tracks(s, {newest}, &told);
    EXPECT_THAT(told, testing::ElementsAre("'comp' of 'a' had 'b' as its sidechain source; it is bypassed now"));
    EXPECT_EQ(without.tracks[0]->chain[0].key, 0u);
    EXPECT_FALSE(without.tracks[0]->chain[0].in);
    EXPECT_TRUE(without.selections[2].empty());
    EXPECT_EQ(without.anchor_order, std::vector{s.tracks[0]->id});
    EXPECT_EQ(without.groups[0].members, std::vector{s.tracks[0]->id});
    EXPECT_EQ(s.tracks[0]->chain[0].key, newest) << "an undo brings it back";
    ASSERT_TRUE(write_session(without, folder / "s.isotonus"));
    const Session opened = read_session(folder / "s.isotonus").value();
    const Session added = with_files(opened, {files[2]});
    EXPECT_GT(added.tracks[1]->id, newest) << "the newcomer is not who was here before";
    EXPECT_EQ(added.next_id, opened.next_id + 1);
    // Also when who went was the newest of all, and nothing in the file is newer.
    const Session two = with_files({}, {files[0], files[1]});
    const TrackId last = two.tracks[1]->id;
    ASSERT_TRUE(write_session(without_tracks(two, {last}), folder / "two.isotonus"));
    const Session back = with_files(read_session(folder / "two.isotonus").value(), {files[2]});
    EXPECT_GT(back.tracks[1]->id, last);
}

// --- stems, tails, and what is said before
// ------------------------------------------------------------------------------

namespace {

Delivery into(const fs::path& folder, StemSplit stems) {
    Delivery d;
    d.folder = folder;
    d.session_name = "boats";
    d.stems = stems;
    return d;
}

std::vector<std::string> names_of(const std::vector<Part>& parts) {
    std::vector<std::string> names;
    for (const Part& p : parts) names.push_back(p.name);
    return names;
}

}  // namespace

TEST(Stems, of_one_name_stay_apart) {
    Folder folder;
    std::vector<fs::path> files;
    for (int n = 0; n < 4; ++n)
        files.push_back(write(folder / fmt::format("{}.wav", n), make(5000, 1, noise(1 + n, 0.2)), 1));
    Mix mix(files);
    mix.session = with_new_bus(mix.session, "Drums", {}, {mix.id(0)});
    mix.change(1, [](Track& t) { t.name = "Drums"; });
    mix.change(2, [](Track& t) { t.name = "Pad"; });
    mix.change(3, [](Track& t) { t.name = "Pad"; });
    const PlanPtr plan = mix.plan();
    const Delivery d = into(folder / "out", StemSplit::buses);
    EXPECT_THAT(names_of(parts_of(plan, mix.session, d)), testing::ElementsAre("mix", "Drums", "Drums", "Pad", "Pad"));
    const auto report = deliver(plan, mix.session, d);
    ASSERT_TRUE(report) << report.error().text();
    EXPECT_EQ(report->files.size(), 5u);
    std::set<fs::path> apart;
    for (const DeliveredFile& f : report->files) apart.insert(f.file);
    EXPECT_EQ(apart.size(), 5u);
    EXPECT_THAT(names_of(parts_of(plan, mix.session, into(folder / "x", StemSplit::tracks))), testing::SizeIs(5));
}

TEST(Tails, of_stems_alone_last_until_all_of_them_are_quiet) {
    Folder folder;
    const auto until = [](int64_t end) {
        return [n = noise(3, 0.4), end](int64_t i, int c) { return i < end ? n(i, c) : 0.0; };
    };
    Mix mix({write(folder / "short.wav", make(96000, 1, until(20000)), 1),
             write(folder / "long.wav", make(96000, 1, until(70000)), 1)});
    Delivery d = into(folder / "out", StemSplit::tracks);
    d.mix = false;
    d.tail = true;
    d.format = SampleFormat::f32;
    d.excerpts = {Excerpt{"", {0, 15000}}};
    const auto report = deliver(mix.plan(), mix.session, d);
    ASSERT_TRUE(report) << report.error().text();
    for (const DeliveredFile& f : report->files)
        EXPECT_NEAR(static_cast<double>(f.measured.frames), 70000 + 2400, 4.0) << f.file;
}

TEST(Residue, that_is_told_before_is_that_of_the_files) {
    Folder folder;
    Mix mix({write(folder / "a.wav", make(30000, 2, noise(1, 0.2)), 2),
             write(folder / "b.wav", make(30000, 2, noise(2, 0.2)), 2),
             write(folder / "c.wav", make(30000, 2, noise(3, 0.2)), 2)});
    const PlanPtr plan = mix.plan();
    for (const auto& [type, format] : {std::pair{FileType::wav, SampleFormat::s16},
                                       {FileType::wav, SampleFormat::s24},
                                       {FileType::wav, SampleFormat::f32},
                                       {FileType::flac, SampleFormat::s24}})
        for (const bool tail : {false, true}) {
            Delivery d = into(folder / fmt::format("{}{}{}", file_type_name(type), static_cast<int>(format), tail),
                              StemSplit::tracks);
            d.type = type;
            d.format = format;
            d.tail = tail;
            if (tail) d.excerpts = {Excerpt{"", {100, 9000}}};
            const auto before = stems_residue(plan, mix.session, d);
            ASSERT_TRUE(before);
            const auto report = deliver(plan, mix.session, d);
            ASSERT_TRUE(report) << report.error().text();
            ASSERT_EQ(before->has_value(), report->residue_dbfs.has_value());
            if (*before) {
                EXPECT_EQ(**before, *report->residue_dbfs) << d.folder;
            }
        }
}

// Whatever speaks of the main output's chain says what is in the file.
TEST(MainChains, in_checks_sheets_and_files_are_decided_in_one_place) {
    Folder folder;
    Shaped mix({write(folder / "a.wav", make(30000, 2, noise(1, 0.3)), 2)});
    mix.session.main_chain = {processor("width", {{"output_db", -6.0}})};
    for (const MainChain way : {MainChain::out, MainChain::in, MainChain::both})
        for (const bool bypassed : {false, true}) {
            mix.session.hand_off.main_chain = way;
            mix.session.main_chain_out = bypassed;
            ASSERT_TRUE(mix.row_signals.make(mix.session, mix.file_of()));
            const MixPlans plans =
                compile_mix_plans(mix.session, mix.row_signals.played_by(mix.session, mix.file_of()));
            const MainChainExport said = main_chain_export(mix.session);
            Delivery d = into(folder / fmt::format("{}{}", static_cast<int>(way), bypassed), StemSplit::none);
            d.format = SampleFormat::f32;
            set_mixes(d, plans, mix.session);
            const auto checks = checks_of(mix.session, exported_plan(plans, mix.session), {});
            ASSERT_TRUE(checks);
            nlohmann::json sheet;
            d.papers = [&](const DeliveryReport& report) -> Result<std::vector<Paper>> {
                sheet = sheet_to_json(
                    {mix.session, "boats", "2030-06-21", *exported_plan(plans, mix.session), *checks, report});
                return std::vector<Paper>();
            };
            const auto report = deliver(plans.bare, mix.session, d);
            ASSERT_TRUE(report) << report.error().text();
            // What is in the files: 6 dB less where the chain was passed.
            const auto file = read(folder / "a.wav");
            std::vector<bool> passed;
            for (const DeliveredFile& f : report->files)
                passed.push_back(std::fabs(read(f.file)[2000]) < 0.75f * std::fabs(file[2000]));
            const bool works = !bypassed;
            const std::vector<bool> wanted = !works || way == MainChain::out ? std::vector{false}
                                             : way == MainChain::in          ? std::vector{true}
                                                                             : std::vector{false, true};
            EXPECT_EQ(passed, wanted);
            EXPECT_EQ(said.works, works);
            const bool any = std::count(passed.begin(), passed.end(), true) > 0;
            EXPECT_EQ(said.mixes != MainChain::out, any);
            for (const Check& c : *checks) {
                if (c.id == "main_chain") {
                    EXPECT_EQ(c.text, said.sentence);
                }
                if (c.id == "main_output_bare") {
                    EXPECT_EQ(c.passed, !any) << c.text;
                }
            }
            EXPECT_EQ(sheet["main"]["chain_in_words"], said.sentence);
            EXPECT_THAT(sheet_to_text(sheet), HasSubstr(said.sentence));
            EXPECT_EQ(sheet["main"]["chain_delivered"], passed.size() == 2 ? "both" : any ? "in" : "out");
        }
}

TEST(Clipping, is_told_before_where_the_format_holds_nothing_above_full_scale) {
    Delivery d;
    d.format = SampleFormat::s24;
    EXPECT_THAT(clipping_warning(d, 3.42).value_or(""), HasSubstr("Turn the main fader down by 3.5 dB"));
    EXPECT_FALSE(clipping_warning(d, -0.1));
    EXPECT_FALSE(clipping_warning(d, std::nullopt));
    d.format = SampleFormat::f32;
    EXPECT_FALSE(clipping_warning(d, 3.42));
    d.type = FileType::mp3;
    EXPECT_TRUE(clipping_warning(d, 3.42));
}

TEST(Files, that_could_not_be_taken_back_are_named) {
    Folder folder;
    std::vector<PendingFile> pending;
    for (const char* name : {"one", "two", "three"}) {
        pending.push_back(PendingFile::create(folder / name, none_protected()).value());
        ASSERT_TRUE(pending.back().write(0, name));
    }
    std::vector<PendingFile*> all;
    for (PendingFile& p : pending) all.push_back(&p);
    // From the third rename on the disk gives no more names, nor takes any back.
    int renames = 0;
    set_file_fault([&](FileStep step, const fs::path&) { return step == FileStep::rename && ++renames > 2 ? EIO : 0; });
    const auto named = commit_together(all);
    set_file_fault({});
    ASSERT_FALSE(named);
    EXPECT_THAT(named.error().what, HasSubstr("could not be restored to what they were: two, one"));
    EXPECT_TRUE(fs::exists(folder / "one") && fs::exists(folder / "two"));
    EXPECT_FALSE(fs::exists(folder / "three"));
}
