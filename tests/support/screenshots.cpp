// Pictures of the main views from the demo: drives the real window and writes PNGs.
//   isotonus-screenshots FOLDER [all]      all: night, crowded, empty and faulty states too

#include <QApplication>
#include <QElapsedTimer>
#include <QListWidget>
#include <QMenu>
#include <QPainter>
#include <QPushButton>
#include <QStyleFactory>
#include <QTemporaryDir>
#include <QTest>
#include <cstdio>
#include <map>

#include "app/ride/fader_box_window.h"
#include "app/ride/ride.h"
#include "app/shape/advisor.h"
#include "app/shape/plugin_dialog.h"
#include "app/stage/phase_dialog.h"
#include "app/stage/sheet_dialog.h"
#include "app/stage/stage_table.h"
#include "app/style/bring_up.h"
#include "app/style/language.h"
#include "app/style/theme.h"
#include "app/window/main_window.h"
#include "app/window/settings_dialog.h"
#include "core/session/presets.h"
#include "core/session/routing.h"
#include "core/shape/equaliser.h"
#include "demosong/shaped.h"
#include "demosong/song.h"

using namespace isotonus;

namespace {

bool settle(MainWindow& window) {
    QElapsedTimer clock;
    clock.start();
    auto& work = window.work();
    do QTest::qWait(30);
    while (clock.elapsed() < 60000 && (work.materials.busy() || work.mix.busy()));
    QTest::qWait(400);
    return clock.elapsed() < 60000;
}

void shoot(MainWindow& window, const QString& folder, const QString& name) {
    settle(window);
    window.grab().save(folder + "/" + name + ".png");
}

/// A first balance, as a user would leave it.
Session balanced(Session session) {
    const std::pair<const char*, std::pair<double, double>> faders[] = {
        {"Kick Close", {-4.5, 0}}, {"Kick Room", {-12, 0}},  {"Snare", {-6.5, 0}},      {"Hats", {-14, 0.1}},
        {"Shaker", {-16, -0.35}},  {"Paper Drums", {-9, 0}}, {"Bass", {-5, 0}},         {"Plucked Chords", {-11, 0}},
        {"Held Chords", {-15, 0}}, {"Water Pad", {-16, 0}},  {"Melody", {-7, 0.15}},    {"Counter Melody", {-13, -0.3}},
        {"Voice", {-3, 0}},        {"Voice Hum", {-14, 0}},  {"Solo Reed", {-6, -0.1}}, {"Lantern Bells", {-10, 0.4}},
        {"Canal Water", {-18, 0}}, {"Crowd", {-16, 0}}};
    for (const auto& [name, values] : faders) {
        const Track* track = session.find(std::string(name));
        if (!track) continue;
        const auto [fader, pan] = values;
        session = with_track(session, track->id, [&](Track& t) { t.fader_db = fader, t.pan = pan; });
    }
    return session;
}

PhaseDialog* make(PhaseDialog*, MainWindow& w) { return new PhaseDialog(w.work(), {}, &w); }
SheetDialog* make(SheetDialog*, MainWindow& w) { return new SheetDialog(w.work(), &w); }
StageTable* make(StageTable*, MainWindow& w) { return new StageTable(w.work(), &w); }
PluginDialog* make(PluginDialog*, MainWindow& w) { return new PluginDialog(&w); }

KeysDialog* make(KeysDialog*, MainWindow& w) { return new KeysDialog(w.keys(), &w); }

/// A dialog over the window, as it opens.
template <class Dialog>
void shoot_dialog(MainWindow& window, const QString& folder, const QString& name) {
    std::unique_ptr<Dialog> dialog(make(static_cast<Dialog*>(nullptr), window));
    dialog->show();
    QTest::qWait(1500);
    dialog->grab().save(folder + "/" + name + ".png");
}

/// The demo's own chains, a few more, a bus of the drums, and a piece of advice that is not taken yet.
void shape(Workspace& work) {
    std::vector<TrackId> drums;
    for (const char* name : {"Kick Close", "Kick Room", "Snare"})
        if (const Track* t = work.document.session().find(std::string(name))) drums.push_back(t->id);
    work.document.edit("Bus", with_new_bus(work.document.session(), "drums", Family::drums, drums));
    work.document.edit("Shape", with_demo_shaped(work.document.session()));
    if (const Track* voice = work.document.session().find(std::string("Voice")))
        work.edits.set_chains({voice->id}, "Shape", [](Chain& c) {
            add_bell(c, {420.0, -3.5, 1.8});
            add_bell(c, {6500.0, 3.0, 0.8});
        });
}

void returns(MainWindow& window) {
    Workspace& work = window.work();
    const auto row = [&](const char* name) { return work.document.session().find(std::string(name))->id; };
    const auto preset = [](const char* name) { return find_preset(shipped_presets(), name)->chain; };
    work.edits.make_return({row("Voice"), row("Voice Hum"), row("Solo Reed"), row("Lantern Bells")}, "Under the bridge",
                           for_a_return(preset("Under the bridge")), -12.0, 0.0);
    work.edits.make_return({row("Voice"), row("Melody")}, "From bank to bank",
                           for_a_return(preset("From bank to bank")), -9.0, -3.0);
    work.edits.make_return({row("Kick Close"), row("Snare"), row("Paper Drums")}, parallel_preset,
                           preset(parallel_preset), 0.0, -12.0);
    work.edits.set_chains({main_output}, "Main chain", [](Chain& c) {
        c = {new_processor(*processor_type("compressor"), {})};
        c.push_back(new_processor(*processor_type("limiter"), c));
        c[0].values = {{"threshold_dbfs", -16.0}, {"ratio", 1.6}};
        c[1].values = {{"ceiling_dbtp", -1.0}};
    });
    settle(window);
    work.document.select_only(row("Voice"));
    if (auto* list = window.findChild<QListWidget*>("chainList")) list->setCurrentRow(list->count() - 1);
    work.player.set_loop({true, 28.0, 28.8});
    window.findChild<QPushButton*>("sendThrow")->click();
    work.player.set_loop({});
    settle(window);
}

/// Numbers on a picture, as the README and the guide tell them.
QPixmap numbered(QPixmap picture, const std::vector<QPoint>& places) {
    QPainter painter(&picture);
    painter.setRenderHint(QPainter::Antialiasing);
    int n = 0;
    for (const QPoint& at : places) {
        painter.setBrush(theme().accent);
        painter.setPen(QPen(theme().ground, 2));
        painter.drawEllipse(at, 13, 13);
        painter.setFont(lettering(15, true));
        painter.setPen(theme().ground);
        painter.drawText(QRect(at - QPoint(13, 13), QSize(26, 26)), Qt::AlignCenter, QString::number(++n));
    }
    return picture;
}

/// Where a widget's part is in its window; the program ends where there is none, since a picture would tell wrong
/// things.
QPoint part_of(QWidget& window, const char* name, QPoint at) {
    const auto* w = window.findChild<QWidget*>(name);
    if (!w) {
        std::fprintf(stderr, "there is no %s to put a number on\n", name);
        std::exit(1);
    }
    return w->mapTo(&window, at);
}

void shoot_with_numbers(MainWindow& window, const QString& folder, const QString& name) {
    settle(window);
    const auto part = [&](const char* widget, QPoint at) { return part_of(window, widget, at); };
    std::map<QString, std::vector<QPoint>> places;
    const QPoint tabs = window.stations().mapTo(&window, QPoint(window.stations().width() - 40, 12));
    if (name == "1-gather")
        places[name] = {{700, 196},
                        {160, 180},
                        part("songMap", {560, 46}),
                        part("clipPanelOpen", {148, 12}),
                        window.stations().mapTo(&window, QPoint(100, 14))};
    if (name == "2-stage")
        places[name] = {{460, 210}, {620, 170}, part("stageAll", {60, -12}), part("openSheet", {60, -12}), {1055, 200}};
    if (name == "3-balance") {
        emit window.work().view.hint("Voice: fader −3.0 dB, pan C");
        places[name] = {
            tabs, part("songMap", {560, 46}), {560, 330}, part("mains", {160, 64}), part("hint", {300, 14})};
    }
    if (name == "15-shape")
        places[name] = {{560, 262},
                        {960, 222},
                        part("chainList", {120, 80}),
                        part("shapePicture", {330, 40}),
                        part("shapeForm", {50, 4})};
    if (name == "17-returns")
        places[name] = {{1050, 266},
                        {180, 396},
                        part("chainList", {200, 62}),
                        part("shapeForm", {50, 4}),
                        part("mainChain", {62, 10})};
    if (name == "4-ride")
        places[name] = {part("ride_level", {150, -12}), part("modeWrite", {20, -12}), part("rideEditor", {400, 60}),
                        part("rideEditor", {520, 8}), part("rideShapes", {80, -12})};
    if (name == "13-compare")
        places[name] = {
            {206, 347}, {420, 352}, {1058, 440}, part("compareTable", {360, 40}), part("compareHear", {70, -8})};
    if (name == "5-hand-off")
        places[name] = {{330, 327},
                        part("checkProfile", {-14, 12}),
                        part("exportWhat", {200, 12}),
                        part("exportPreview", {260, 40}),
                        part("export", {66, -6})};
    numbered(window.grab(), places.at(name)).save(folder + "/" + name + ".png");
}

void all_stations(MainWindow& window, const QString& folder, const QString& prefix) {
    const char* names[] = {"1-gather", "2-stage", "3-balance", "15-shape", "4-ride", "13-compare", "5-hand-off"};
    for (int n = 0; n < window.stations().count(); ++n) {
        window.stations().choose(n);
        auto& work = window.work();
        const auto known = [&work] {
            bool all = true;
            for (const auto& t : work.document.session().tracks)
                for (const MaterialPtr& m : {work.materials.of(*t), work.materials.shaped(*t)})
                    all &= !m || work.spectra.of(m) != nullptr;
            return all;
        };
        while (!known()) QTest::qWait(100);
        if (n == 3)
            if (auto* advisor = window.findChild<Advisor*>()) {
                advisor->room(work.document.focused());
                while (advisor->busy()) QTest::qWait(50);
            }
        if (prefix.isEmpty())
            shoot_with_numbers(window, folder, names[n]);
        else
            shoot(window, folder, prefix + names[n]);
    }
}

}  // namespace

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    QApplication::setStyle(QStyleFactory::create("Fusion"));
    if (argc < 2) return 2;
    const QString folder = argv[1];
    const bool everything = argc > 2 && std::string_view(argv[2]) == "all";
    speak(argc > 3 ? argv[3] : "en");
    const auto demo = demo_in_cache();
    if (!demo) {
        std::fprintf(stderr, "%s\n", demo.error().text().c_str());
        return 1;
    }
    MainWindow window;
    window.show_night(false);
    window.work().player.open_device(simulated_device, 512);
    window.show();
    if (everything) shoot(window, folder, "empty");
    window.files().open_demo();
    for (int n = 0; n < 3000 && window.work().document.session().tracks.empty(); ++n) QTest::qWait(20);
    if (everything) {
        QTest::qWait(30);
        window.grab().save(folder + "/loading.png");
    }
    settle(window);
    auto& work = window.work();
    work.document.edit("Balance", balanced(work.document.session()));
    work.edits.stage_all();
    const TrackId voice = work.document.session().find(std::string("Voice"))->id;
    work.document.edit_tracks("Ride Voice", {voice}, [](Track& t) {
        Curve c;
        for (const auto& [time, db] : {std::pair{9.4, 0.0},
                                       {14.2, 0.0},
                                       {14.6, 5.5},
                                       {19.0, 5.5},
                                       {19.4, -1.5},
                                       {24.0, -1.5},
                                       {24.4, 3.0},
                                       {28.8, 0.0},
                                       {38.0, 0.0},
                                       {38.6, -4.0},
                                       {43.0, -4.0}})
            c.insert({time, db, Segment::line});
        t.rides.set(Parameter::level, std::make_shared<const Curve>(c));
    });
    shape(work);
    work.document.select_only(voice);
    settle(window);
    work.player.locate(36.0);
    work.player.toggle_playing();
    QTest::qWait(1500);
    work.player.stop();
    all_stations(window, folder, "");
    // The levels of a compressor, in the bench of Shape.
    window.stations().choose(3);
    settle(window);
    const Chain& chain = *work.document.session().chain_of(voice);
    if (auto* list = window.findChild<QListWidget*>("chainList"))
        for (size_t n = 0; n < chain.size(); ++n)
            if (chain[n].type == "compressor") list->setCurrentRow(static_cast<int>(n));
    shoot(window, folder, "16-levels");
    // Returns, a copy in parallel, and the main output's chain; the voice's send to the echo is thrown at one word.
    const Session without_returns = work.document.session();
    returns(window);
    shoot_with_numbers(window, folder, "17-returns");
    if (everything) {
        for (const size_t n : {size_t{1}, size_t{2}}) {
            work.view.shape.show(work.document.session().buses[n].id);
            work.view.shape.position = 0;
            shoot(window, folder, n == 1 ? "reverb" : "delay");
        }
        work.view.shape.show({});
        window.stations().choose(2);
        shoot(window, folder, "balance-returns");
        window.stations().choose(6);
        settle(window);
        if (auto* what = window.findChild<QComboBox*>("exportWhat")) what->setCurrentIndex(1);
        QTest::qWait(4000);
        shoot(window, folder, "hand-off-main-chain");
        window.show_night(true);
        shoot(window, folder, "night-hand-off-main-chain");
        window.stations().choose(3);
        settle(window);
        shoot(window, folder, "night-returns");
        window.show_night(false);
        (void)scan_plugins();
        shoot_dialog<PluginDialog>(window, folder, "plug-in-dialog");
        shoot_dialog<KeysDialog>(window, folder, "keys");
        for (const Plugin& p : plugins_like(known_plugins(), "amplifier"))
            if (p.type)
                work.edits.set_chains({voice}, "Plug-in", [&](Chain& c) { c.push_back(new_processor(*p.type, c)); });
        work.document.select_only(voice);
        settle(window);
        if (auto* list = window.findChild<QListWidget*>("chainList"))
            list->setCurrentRow(static_cast<int>(work.document.session().chain_of(voice)->size()) - 1);
        shoot(window, folder, "plug-in");
        window.stations().choose(3);
    }
    work.document.edit("Without returns", without_returns);
    settle(window);
    // Compare with a print of this mix, kept a little lower, and the fader box over the rides.
    QTemporaryDir prints;
    Delivery delivery;
    delivery.folder = prints.path().toStdString();
    delivery.session_name = "The paper-boat festival";
    if (const auto report = deliver(work.player.plan(), work.document.session(), delivery))
        work.comparison.add_print(report->files[0].file, report->files[0].measured, "2030-06-21 21:30",
                                  "before the bells", work.document.session());
    work.document.edit("Lower", [&] {
        Session lower = work.document.session();
        lower.main_fader_db = -2.0;
        // Since the print bass and voice went down, and the hats came up: the difference is what one looks at.
        for (const auto& t : SharedList(lower.tracks)) {
            const double by_db = t->name == "Bass" ? -4.0 : t->name == "Hats" ? 4.0 : t->name == "Voice" ? -3.0 : 0.0;
            lower = with_track(lower, t->id, [by_db](Track& track) { track.fader_db += by_db; });
        }
        return lower;
    }());
    window.stations().choose(5);
    settle(window);
    QTest::qWait(400);
    work.comparison.toggle();
    work.view.compare.choose_band(6);
    QTest::qWait(400);
    shoot_with_numbers(window, folder, "13-compare");
    work.comparison.toggle();
    if (everything) {
        Session noted = work.document.session();
        noted.notes = {{8.0, "hats sharp against the voice", "car", "2030-06-22T09:10:00", false},
                       {31.0, "bells too far back", "", "2030-06-22T09:12:00", true}};
        noted.blind_results = {{"2030-06-22T10:00:00", "", {"the mix", "before the bells"}, {7, 1}}};
        noted.recordings.change()[0].passages = {{"chorus", 20.0, 30.0, 16.0, 26.0}};
        work.document.edit("Noted", noted);
        using Page = CompareView::Page;
        for (const auto& [page, name] : {std::pair(Page::loudness, "compare-loudness"),
                                         {Page::width, "compare-width"},
                                         {Page::changes, "compare-changes"},
                                         {Page::notes, "compare-notes"},
                                         {Page::blind, "compare-blind"},
                                         {Page::done, "compare-done"}}) {
            work.view.compare.show_page(page);
            QTest::qWait(1200);
            shoot(window, folder, name);
            window.show_night(true);
            shoot(window, folder, QString("night-") + name);
            window.show_night(false);
        }
        work.view.compare.show_page(Page::frequencies);
        QMenu* played_by = window.findChild<QToolButton*>("monitorPlayback")->menu();
        played_by->popup(window.mapToGlobal(QPoint(600, 300)));
        QTest::qWait(100);
        played_by->grab().save(folder + "/playback-menu.png");
        played_by->close();
        work.document.undo();  // what was noted
    }
    window.stations().choose(4);
    work.view.ride.show({Parameter::level, {Parameter::level, Parameter::pan}, false, {}});
    if (everything) {
        const Session straight = work.document.session();
        Curve bent = *straight.find(voice)->rides[Parameter::level];
        for (RidePoint& p : bent.points) p.segment = Segment::bend;
        work.document.edit("Bend", with_ride(straight, voice, Parameter::level, bent));
        auto* editor = window.findChild<RideEditor*>("rideEditor");
        editor->set_range({30.0, 36.0});
        shoot(window, folder, "ride-two-lanes");
        work.document.edit("Straight", straight);
    }
    auto* box = bring_up<FaderBoxWindow>(&window, work);
    QTest::qWait(200);
    box->grab().save(folder + "/14-fader-box.png");
    box->close();
    work.view.ride.show({});
    for (int n = 0; n < 2; ++n) work.document.undo();
    // Balance with buses, a headroom plan, the field, and what covers the voice.
    const auto press = [&](const char* action) {
        window.findChild<QAction*>(action)->trigger();
        QTest::qWait(30);
    };
    const Session before = work.document.session();
    const auto row = [&](const char* name) { return work.document.session().find(std::string(name))->id; };
    work.document.edit_tracks("Anchors", {row("Kick Close"), row("Bass"), voice}, [](Track& t) { t.anchor = true; });
    Session hot = work.document.session();
    hot.main_fader_db += 5.0;
    work.document.edit("Hot", hot);
    work.document.select_only(voice);
    press("makeGroup");
    press("pageHeadroomAction");
    settle(window);
    QElapsedTimer planning;
    planning.start();
    while (!work.mix.headroom() && planning.elapsed() < 60000) QTest::qWait(50);
    QTest::qWait(200);
    if (work.mix.headroom() && work.mix.headroom()->proposals.size() > 1) {
        BalanceView::Ghosts ghosts;
        for (const auto& [id, db] : work.mix.headroom()->proposals[1].faders) ghosts[id] = {db};
        work.view.balance.show_ghosts(ghosts);
    }
    shoot(window, folder, "10-headroom");
    press("pageCoverAction");
    QTest::qWait(200);
    for (int n = 0; n < 600 && (work.mix.share_listened() < 1.0 || !work.mix.audibility(voice)); ++n) QTest::qWait(20);
    shoot(window, folder, "11-audibility");
    if (everything) {
        for (const char* page : {"pageBuildUpAction", "pageMonoAction", "pagePictureAction"}) {
            press(page);
            if (QString(page) == "pageBuildUpAction") {
                window.findChild<QPushButton*>("buildUpStart")->click();
                for (int n = 0; n < 3; ++n) window.findChild<QPushButton*>("buildUpNext")->click();
            }
            if (QString(page) == "pagePictureAction") {
                window.findChild<QPushButton*>("buildUpLeave")->click();
                press("monoAction");
                press("quietAction");
                work.player.locate(36.0);
                work.player.toggle_playing();
                QTest::qWait(3500);
                window.grab().save(folder + "/" + page + ".png");
                work.player.stop();
                press("monitorOff");
                continue;
            }
            shoot(window, folder, page);
        }
        press("pagePictureAction");
    } else {
        press("pageCoverAction");
    }
    press("fieldAction");
    work.player.locate(36.0);
    work.player.toggle_playing();
    QTest::qWait(1200);
    window.grab().save(folder + "/12-field.png");
    work.player.stop();
    press("fieldAction");
    work.document.edit("Back", before);
    work.view.balance.show_page(BalanceView::Page::first);
    work.first.draft(DraftStrength::pans, true);
    if (!QTest::qWaitFor([&] { return !work.first.busy(); }, 60000)) std::exit(1);
    shoot(window, folder, "19-first-balance");
    work.first.dismiss();
    work.view.balance.show_page(BalanceView::Page::none);
    window.stations().choose(0);
    const TrackId snare = work.document.session().find(std::string("Snare"))->id;
    work.document.select_only(snare);
    work.view.show_panel(true);
    work.player.locate(30.0);
    work.edits.split_clip(snare);
    work.player.locate(36.5);
    work.edits.split_clip(snare);
    Clips clips = work.edits.clips(snare);
    clips[1].gain_db = 4.5, clips[1].fade_in = 12000, clips[1].fade_out = 48000;
    work.edits.set_clips(snare, "Clips", clips);
    shoot(window, folder, "6-clips");
    work.view.show_panel(false);
    for (int n = 0; n < 3; ++n) work.document.undo();
    settle(window);
    shoot_dialog<PhaseDialog>(window, folder, "7-phase");
    {
        Settings settings;
        SettingsDialog dialog(settings, window.work(), &window);
        dialog.show();
        QTest::qWait(300);
        std::vector<QPoint> places;
        for (const char* field : {"settingsDevice", "settingsRms", "settingsPanLaw", "settingsLoud", "settingsCache"})
            places.push_back(part_of(dialog, field, {-14, 12}));
        numbered(dialog.grab(), places).save(folder + "/18-settings.png");
    }
    if (everything) shoot_dialog<SheetDialog>(window, folder, "8-sheet");
    shoot_dialog<StageTable>(window, folder, "9-table");
    work.document.select_only(voice);
    work.player.locate(37.5);
    window.show_night(true);
    window.stations().choose(2);
    shoot(window, folder, "night-3-balance");
    if (everything) {
        all_stations(window, folder, "night-");
        window.stations().choose(2);
        press("fieldAction");
        shoot(window, folder, "night-12-field");
        press("fieldAction");
        shoot_dialog<KeysDialog>(window, folder, "night-keys");
        window.show_night(false);
        Session crowded = work.document.session();
        std::vector<fs::path> files;
        for (int n = 0; n < 42; ++n) files.push_back(crowded.tracks[static_cast<size_t>(n) % 18]->source.file);
        work.document.edit("Crowd", with_files(crowded, files));
        window.stations().choose(2);
        shoot(window, folder, "crowded-balance");
        press("fieldAction");
        settle(window);
        shoot(window, folder, "crowded-field");
        press("fieldAction");
        window.stations().choose(0);
        shoot(window, folder, "crowded-gather");
        window.stations().choose(1);
        shoot(window, folder, "crowded-stage");
        work.edits.set_chains({voice}, "Long chain", [](Chain& c) {
            for (const ProcessorType* type : processor_types()) c.push_back(new_processor(*type, c));
        });
        window.stations().choose(3);
        shoot(window, folder, "crowded-shape");
        window.stations().choose(5);
        for (const auto& [page, name] : {std::pair(CompareView::Page::frequencies, "crowded-compare"),
                                         {CompareView::Page::done, "crowded-compare-done"}}) {
            work.view.compare.show_page(page);
            settle(window);
            QTest::qWait(1500);
            shoot(window, folder, name);
        }
        work.view.compare.show_page(CompareView::Page::frequencies);
        Session hot = work.document.session();
        hot.main_fader_db = 9.0;
        for (size_t n = 0; n < hot.tracks.size(); ++n)
            if (n % 3 == 0) {
                Curve dense;
                for (int k = 0; k < 900; ++k)
                    dense.points.push_back({k * 0.1, 4.0 * std::sin(k * 0.05 + static_cast<double>(n)) + (k % 5)});
                dense.points[400].segment = Segment::bend;
                hot = with_ride(hot, hot.tracks[n]->id, Parameter::level, dense);
            }
        work.document.edit("Hot", hot);
        window.stations().choose(4);
        work.document.select_only(work.document.session().tracks[6]->id);
        work.view.ride.show({Parameter::level, {Parameter::level}, true, {}});
        settle(window);
        shoot(window, folder, "crowded-ride");
        work.view.ride.show({Parameter::level, {Parameter::level}, false, {}});
        window.stations().choose(6);
        settle(window);
        shoot(window, folder, "crowded-hand-off");
        work.document.edit_tracks("Lose", {voice}, [](Track& t) { t.source.file = "/nowhere/Voice.wav"; });
        window.stations().choose(0);
        shoot(window, folder, "missing");
        window.resize(1920, 1200);
        window.stations().choose(2);
        shoot(window, folder, "large-balance");
        window.resize(1280, 800);
    }
    work.document.start_new();
    return 0;
}
