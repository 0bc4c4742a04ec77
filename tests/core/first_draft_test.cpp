// A balance drafted from what can be heard: judged by the audibility that the windows show, by the peaks that the mix
// reaches, and by a second measure that knows nothing of either.
#include "core/balance/first_draft.h"

#include "core/balance/mono_loss.h"
#include "core/session/session_file.h"
#include "tests/support/made_song.h"

#include <nlohmann/json.hpp>

using namespace isotonus;
using namespace isotonus::test;

namespace {

/// A session with all that a draft needs to know of it.
struct Drafted {
    Session session;
    std::map<TrackId, MaterialPtr> materials;
    std::map<MaterialPtr, ExcitationPtr> excitations;
    FirstDraftWish wish;
    MixPeaks peaks;

    explicit Drafted(Session of) : session(std::move(of)) {
        for (const auto& t : session.tracks) {
            materials[t->id] = load_material(source_of(*t), session.sample_rate).value();
            excitations[materials[t->id]] = excitation_of(*materials[t->id]).value();
        }
        wish.strength = DraftStrength::pans;
        wish.levels.family = [this](const Track& t) { return family_of(t, &materials.at(t.id)->measurement); };
    }
    MaterialOf material() {
        return [this](const Track& t) { return materials.at(t.id); };
    }
    ExcitationOf excitation() {
        return [this](const MaterialPtr& m) { return excitations.at(m); };
    }
    FirstDraft draft() {
        auto made = first_draft(session, material(), excitation(), wish, peaks);
        EXPECT_TRUE(made) << made.error().text();
        return *made;
    }
};

using Sound = MadeSong::Sound;
const Sound kick{52, 0.09, 0.04, false, 0.5}, snare{190, 0.09, 0.6, false, 1.0}, hats{6000, 0.03, 0.97, true, 0.25},
    bass{82, 0.5, 0.0, false, 0.5}, lead{880, 0.5, 0.01, false, 0.6}, chords{390, 0.9, 0.0, false, 1.0},
    pad{310, 2.0, 0.02, false, 2.0}, shaker{4000, 0.05, 0.9, true, 0.25}, rain{1500, 3.0, 0.98, true, 2.0};

/// Three songs of different kinds: what each track is called is its role.
Session named_song(const Folder& folder, uint32_t kind) {
    static const std::vector<std::vector<std::pair<const char*, Sound>>> songs{{{"Kick", kick},
                                                                                {"Snare", snare},
                                                                                {"Hats", hats},
                                                                                {"Bass", bass},
                                                                                {"Melody", lead},
                                                                                {"Pad", pad},
                                                                                {"Perc 1", shaker},
                                                                                {"Crackle FX", rain}},
                                                                               {{"Kick", kick},
                                                                                {"Snare", snare},
                                                                                {"Overheads", hats},
                                                                                {"Guitar L", chords},
                                                                                {"Guitar R", chords},
                                                                                {"Piano", chords},
                                                                                {"Bass", bass},
                                                                                {"Lead Voice", lead},
                                                                                {"Backing Voice", lead}},
                                                                               {{"Bass", bass},
                                                                                {"Piano", chords},
                                                                                {"Strings", pad},
                                                                                {"Voice", lead},
                                                                                {"Choir", pad},
                                                                                {"Rain ambience", rain}}};
    std::vector<Sound> sounds;
    for (const auto& [name, sound] : songs[kind]) sounds.push_back(sound);
    const MadeSong song(folder, sounds.size(), 12.0, kind + 1, sounds);
    Session session = song.session;
    for (size_t n = 0; n < sounds.size(); ++n)
        session = with_track(session, song.id(n), [&](Track& t) { t.name = songs[kind][n].first; });
    return session;
}

}  // namespace

TEST(FirstDraft, lands_in_the_window_keeps_anchors_and_says_why_where_a_role_gets_less) {
    Folder folder;
    for (uint32_t kind = 0; kind < 3; ++kind) {
        Drafted song(named_song(folder, kind));
        song.wish.strength = DraftStrength::all;
        const FirstDraft draft = song.draft();
        const TargetSheet& sheet = song.session.targets;
        ASSERT_TRUE(draft.peak_dbfs);
        EXPECT_GE(*draft.peak_dbfs, sheet.mains_low_dbfs) << kind;
        EXPECT_LE(*draft.peak_dbfs, sheet.mains_high_dbfs) << kind;
        // The figures that it tells are those of the window's own measures, of the session that comes of it.
        const Session balanced = with_draft(song.session, draft);
        const PlanPtr plan = compile_plan(balanced, song.material());
        EXPECT_NEAR(db_from_gain(static_cast<double>(whole_song_peak(plan)->peak)), *draft.peak_dbfs, 0.01);
        const auto heard = audibility(*plan, song.excitation(), song.wish.listening);
        for (size_t n = 0; n < draft.tracks.size(); ++n) {
            const DraftedTrack& t = draft.tracks[n];
            const std::string& name = song.session.tracks[n]->name;
            // The sides of a pair are told together.
            const bool pair = name.starts_with("Guitar");
            EXPECT_NEAR(heard[n].share.value_or(0.0), t.at_monitors.value_or(0.0), pair ? 0.25 : 0.03) << name;
            EXPECT_NEAR(heard[n].quiet_share.value_or(0.0), t.heard.value_or(0.0), pair ? 0.25 : 0.03) << name;
            if (t.anchor) {
                EXPECT_GE(*heard[n].share, 0.40) << kind << ' ' << name;
            }
            if (!t.anchor && t.heard && *t.heard < wish_of(t.role).heard - 0.02) {
                EXPECT_NE(t.why.find("more would"), std::string::npos) << name << ": " << t.why;
            }
        }
        for (const MonoLoss& loss : mono_losses(*plan)) EXPECT_GE(loss.loss_db, -max_mono_loss_db - 0.1) << loss.id;
    }
}

TEST(FirstDraft, is_heard_by_a_second_measure_too) {
    Folder folder;
    for (uint32_t kind = 0; kind < 3; ++kind) {
        Drafted song(named_song(folder, kind));
        const FirstDraft draft = song.draft();
        nlohmann::json tracks = nlohmann::json::array();
        for (size_t n = 0; n < draft.tracks.size(); ++n)
            tracks.push_back({{"file", song.session.tracks[n]->source.file.string()},
                              {"gain", gain_from_db(draft.tracks[n].fader_db)},
                              {"anchor", draft.tracks[n].anchor}});
        put(folder / "tracks.json", tracks.dump());
        // Levels in third octaves (IEC 61260-1), and what stands 6 dB and less below the sum of the others.
        const auto shares = nlohmann::json::parse(output_of("/usr/bin/python3 -W ignore '" ISOTONUS_SOURCE
                                                            "/tests/support/heard.py' '" +
                                                            (folder / "tracks.json").string() + "'"));
        for (size_t n = 0; n < draft.tracks.size(); ++n) {
            const double share = shares[n].get<double>();
            EXPECT_GE(share, draft.tracks[n].anchor ? 0.40 : 0.20) << kind << ' ' << song.session.tracks[n]->name;
        }
    }
}

TEST(FirstDraft, of_the_demo_is_better_heard_than_what_its_names_suggest) {
    const auto read = read_session(demo_folder() / "demo.isotonus");
    ASSERT_TRUE(read);
    Drafted demo(*read);
    demo.wish.levels.microphones = {{demo.session.find("Kick Close")->id, demo.session.find("Kick Room")->id}};
    const FirstDraft draft = demo.draft();
    EXPECT_NEAR(*draft.peak_dbfs, -8.0, 2.0);
    for (const DraftedTrack& t : draft.tracks) {
        if (t.anchor) {
            EXPECT_GE(t.at_monitors.value_or(0.0), 0.40) << demo.session.name_of(t.id);
        }
        EXPECT_FALSE(t.kept);
    }
    // Both microphones of the kick are one.
    EXPECT_EQ(draft.tracks[0].fader_db, draft.tracks[1].fader_db);
    StartingLevels levels = demo.wish.levels;
    levels.anchors_db = *anchors_start_at(demo.session, demo.material(), levels, demo.peaks);
    const auto suggested =
        audibility(*compile_plan(with_suggested_faders(demo.session, levels), demo.material()), demo.excitation(), {});
    const auto drafted =
        audibility(*compile_plan(with_draft(demo.session, draft), demo.material()), demo.excitation(), {});
    double min_before = 1.0, min_now = 1.0;
    for (size_t n = 0; n < drafted.size(); ++n)
        if (draft.tracks[n].anchor && n > 1) {  // the two microphones cover each other
            min_before = std::min(min_before, suggested[n].share.value_or(0.0));
            min_now = std::min(min_now, drafted[n].share.value_or(0.0));
        }
    EXPECT_GT(min_now, min_before + 0.2);
}

TEST(FirstDraft, narrows_what_loses_too_much_in_mono_and_says_where_no_width_helps) {
    // A sine in the centre beside one that differs between the sides: loses 10 log10(M / (M + S)) in mono.
    const auto drafted = [](const Folder& folder, double mid, double side) {
        const MadeSong song(folder, 2, 4.0, 7, {bass, pad});
        std::vector<float> x;
        for (int n = 0; n < 4 * 48000; ++n) {
            const double c = mid * std::sin(0.11 * n), s = side * std::sin(0.17 * n);
            x.push_back(static_cast<float>(c + s)), x.push_back(static_cast<float>(c - s));
        }
        write(folder / "wide.wav", x, 2, MadeSong::rate);
        Session session = with_track(song.session, song.id(1), [&](Track& t) {
            t.name = "Pad";
            t.source.file = folder / "wide.wav";
        });
        Drafted draft(session);
        draft.wish.strength = DraftStrength::all;
        return std::pair(draft.draft(),
                         mono_losses(*compile_plan(with_draft(session, draft.draft()), draft.material())));
    };
    Folder folder;
    for (const auto& [side, becomes] : {std::pair(0.1, 1.0), {0.2, 0.55}, {0.4, 0.27}, {0.8, 1.0}}) {
        const auto [draft, losses] = drafted(folder, 0.1, side);
        const DraftedTrack& wide = draft.tracks[1];
        EXPECT_NEAR(wide.width, becomes, 0.011) << side;
        const auto loss = std::ranges::find(losses, wide.id, &MonoLoss::id);
        ASSERT_NE(loss, losses.end());
        EXPECT_EQ(loss->loss_db<-max_mono_loss_db - 0.1, side> 0.5) << loss->loss_db;
        EXPECT_EQ(wide.why.find("Its width becomes") != std::string::npos, becomes < 1.0) << wide.why;
        EXPECT_EQ(wide.why.find("cancel") != std::string::npos, side > 0.5) << wide.why;
    }
}

TEST(FirstDraft, pans_pairs_alike_and_leaves_the_low_end_the_lead_and_the_backbeat_in_the_centre) {
    Folder folder;
    Drafted song(named_song(folder, 1));
    const FirstDraft draft = song.draft();
    const auto pan = [&](const char* name) {
        for (size_t n = 0; n < draft.tracks.size(); ++n)
            if (song.session.tracks[n]->name == name) return draft.tracks[n].pan;
        return 100.0;
    };
    for (const char* name : {"Kick", "Snare", "Bass", "Lead Voice"}) EXPECT_EQ(pan(name), 0.0) << name;
    for (const DraftedTrack& t : draft.tracks) EXPECT_LE(std::fabs(t.pan), 0.35);
    EXPECT_EQ(pan("Guitar L"), -pan_of_pair);
    EXPECT_EQ(pan("Guitar R"), pan_of_pair);
    // Both sides are as loud as each other.
    const std::vector<float> mix = samples_of(compile_plan(with_draft(song.session, draft), song.material()));
    double left = 0.0, right = 0.0;
    for (size_t i = 0; i < mix.size(); i += 2) left += mix[i] * mix[i], right += mix[i + 1] * mix[i + 1];
    EXPECT_NEAR(db_from_power(left / right), 0.0, 1.0);
    // Levels alone leave every pan as it is.
    song.wish.strength = DraftStrength::levels;
    song.session =
        with_track(song.session, song.session.tracks[6]->id, [](Track& t) { t.pan = 0.5, t.fader_db = 0.0; });
    const Session balanced = with_draft(song.session, song.draft());
    EXPECT_EQ(balanced.tracks[6]->pan, 0.5);
    EXPECT_EQ(balanced.tracks[4]->pan, 0.0);
    // A reason names the section in which an anchor would suffer.
    song.session.sections = {{"verse", 0.0, 0}, {"chorus", 6.0, 0}};
    std::string reasons;
    for (const DraftedTrack& t : song.draft().tracks) reasons += t.why + '\n';
    EXPECT_TRUE(reasons.find(" in verse") != std::string::npos || reasons.find(" in chorus") != std::string::npos)
        << reasons;
}

TEST(FirstDraft, keeps_what_is_locked_or_set_by_hand) {
    Folder folder;
    Drafted song(named_song(folder, 0));
    song.session = with_track(song.session, song.session.tracks[5]->id, [](Track& t) { t.fader_db = -7.5; });
    song.session = with_track(song.session, song.session.tracks[6]->id, [](Track& t) { t.locked = true; });
    const FirstDraft draft = song.draft();
    EXPECT_TRUE(draft.tracks[5].kept && draft.tracks[6].kept);
    EXPECT_NE(draft.tracks[5].why.find("by hand"), std::string::npos);
    EXPECT_NE(draft.tracks[6].why.find("Locked"), std::string::npos);
    EXPECT_EQ(with_draft(song.session, draft).tracks[5]->fader_db, -7.5);
    song.wish.also_set = true;
    const FirstDraft all = song.draft();
    EXPECT_FALSE(all.tracks[5].kept);
    EXPECT_TRUE(all.tracks[6].kept);
    // One track alone, and half of the way.
    const TrackId kick = song.session.tracks[0]->id;
    const Session one = with_draft(song.session, all, kick);
    EXPECT_EQ(one.tracks[0]->fader_db, all.tracks[0].fader_db);
    EXPECT_EQ(one.tracks[1]->fader_db, 0.0);
    const Session half = between(song.session, with_draft(song.session, all), 0.5);
    EXPECT_NEAR(half.tracks[0]->fader_db, all.tracks[0].fader_db / 2.0, 1e-9);
    EXPECT_NEAR(half.tracks[5]->fader_db, (all.tracks[5].fader_db - 7.5) / 2.0, 1e-9);
    EXPECT_EQ(between(song.session, half, 0.0).tracks[0]->fader_db, 0.0);
}
