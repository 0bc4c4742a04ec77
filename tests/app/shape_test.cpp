// Shape with the real window: low cuts typed and dragged, processors added, taken out and in, bands of the equaliser.
#include <QDoubleSpinBox>
#include <QFormLayout>
#include <QHelpEvent>
#include <QLabel>
#include <QListWidget>
#include <QScrollBar>
#include <QToolTip>
#include <complex>

#include "app/mains/mains.h"
#include "core/mix/mixdown.h"
#include "core/session/routing.h"
#include "core/shape/chain.h"
#include "core/shape/parameter_help.h"
#include "tests/app/shaping_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class Shape : public ShapingWindow {
  protected:
    QString advice() { return find<QLabel>("adviceText")->text(); }
    void advised() {
        wait_for([&] { return find<QWidget>("adviceStrip")->isVisible() && !advice().endsWith(QChar(0x2026)); });
        catch_up();
    }
    void add(const char* type) {
        find<QAction>((std::string("add_") + type).c_str())->trigger();
        catch_up();
    }
};

}  // namespace

TEST_F(Shape, a_low_cut_is_typed_dragged_and_undone) {
    begin();
    const double before = *work().mix.peak()->dbfs;
    type(lane(1), "700");
    ASSERT_EQ(track(1).chain.size(), 1u);
    EXPECT_EQ(track(1).chain[0].type, "low_cut");
    shaped();
    // The pad is a sine of 220 Hz: what is played, and the mix's whole-song peak, follow.
    const MaterialPtr played = work().materials.played(track(1));
    ASSERT_TRUE(signal_of(played));
    EXPECT_LT(*played->measurement.rms_dbfs, *work().materials.measured(track(1))->rms_dbfs - 6.0);
    EXPECT_NE(*work().mix.peak()->dbfs, before);
    const double hz = track(1).chain[0].values.at("hz");
    EXPECT_EQ(hz, 700.0);
    // The blade is dragged down.
    const int x = 12 + static_cast<int>(lane(1)->width() * 0.55 * std::log(700.0 / 20.0) / std::log(1000.0));
    drag(lane(1), QPoint(x, 14), QPoint(x - 60, 14));
    EXPECT_LT(track(1).chain[0].values.at("hz"), 600.0);
    EXPECT_GT(track(1).chain[0].values.at("hz"), 100.0);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(1).chain[0].values.at("hz"), 700.0);
    type(lane(1), "off");
    EXPECT_TRUE(track(1).chain.empty());
    shaped();
    EXPECT_FALSE(signal_of(work().materials.played(track(1))));
    EXPECT_EQ(*work().mix.peak()->dbfs, before);
}

TEST_F(Shape, every_parameter_says_what_it_does_and_when_one_would_change_it) {
    begin();
    for (const ProcessorType* type : processor_types()) {
        add(type->id);
        for (const ParameterInfo& p : type->parameters) {
            const QString help = QString::fromStdString(help_of(type->id, p));
            EXPECT_GE(help.count(". ") + help.count("; "), 1) << type->id << ' ' << p.id;
            EXPECT_TRUE(help.endsWith('.')) << type->id << ' ' << p.id;
            // Of the equaliser the form has one band.
            if (auto* control = window->findChild<QWidget*>(p.id)) {
                EXPECT_TRUE(control->toolTip().startsWith(help)) << type->id << ' ' << p.id;
            }
        }
        for (const ParameterInfo& p : common_parameters()) EXPECT_FALSE(help_of(type->id, p).empty()) << p.id;
        key(Qt::Key_Z, Qt::ControlModifier);
    }
}

TEST_F(Shape, words_make_way_for_sends_that_another_track_gets) {
    begin();
    for (const char* type : {"equaliser", "compressor", "saturation"}) add(type);
    shaped();
    Session next = session();
    const TrackId bus = next.next_id++;
    Bus reverb;
    reverb.id = bus;
    next.buses.change().push_back(reverb);
    next = with_track(next, track(0).id, [&](Track& t) {
        Send send;
        send.id = 77;
        send.to = bus;
        t.sends.push_back(send);
    });
    next.next_id = 78;
    work().document.edit("send", std::move(next));
    shaped();
    const auto picture = [&] { return static_cast<QWidget*>(lane(2))->grab().toImage(); };
    const QImage after = picture();
    station(1);
    station(3);
    shaped();
    EXPECT_EQ(picture(), after);  // as in lanes that never were without
}

TEST_F(Shape, what_the_form_says_without_a_processor_is_all_to_be_seen) {
    begin();
    auto* form = find<QScrollArea>("shapeForm");
    EXPECT_EQ(form->horizontalScrollBar()->maximum(), 0);
    const auto labels = form->findChildren<QLabel*>();
    ASSERT_EQ(labels.size(), 1);
    EXPECT_GE(labels[0]->height(), labels[0]->heightForWidth(labels[0]->width()));
}

TEST_F(Shape, a_processor_is_added_set_taken_out_at_one_loudness_and_removed) {
    begin();
    add("compressor");
    ASSERT_EQ(track(2).chain.size(), 1u);
    auto* threshold = find<QDoubleSpinBox>("threshold_dbfs");
    threshold->setValue(-40.0);
    EXPECT_EQ(track(2).chain[0].values.at("threshold_dbfs"), -40.0);
    shaped();
    const auto reduction = signal_of(work().materials.shaped(track(2)))->reduction(0);
    ASSERT_TRUE(reduction);
    EXPECT_GT(reduction->max_db, 3.0);
    const double loudness = *work().materials.played(track(2))->measurement.integrated_lufs;
    key(Qt::Key_F7);
    EXPECT_FALSE(track(2).chain[0].in);
    shaped();
    EXPECT_NEAR(*work().materials.played(track(2))->measurement.integrated_lufs, loudness, 0.05);
    key(Qt::Key_F7);
    EXPECT_TRUE(track(2).chain[0].in);
    key(Qt::Key_F9);
    EXPECT_TRUE(track(2).chain_out);
    shaped();
    EXPECT_FALSE(signal_of(work().materials.played(track(2))));
    key(Qt::Key_F7, Qt::ControlModifier);
    EXPECT_TRUE(session().chains_out);
    key(Qt::Key_F7, Qt::ControlModifier);
    EXPECT_FALSE(session().chains_out);
    QTest::mouseClick(find<QPushButton>("chainRemove"), Qt::LeftButton);
    EXPECT_TRUE(track(2).chain.empty());
    undo_everything();
    EXPECT_TRUE(session().tracks.empty());
}

TEST_F(Shape, bands_are_made_moved_and_taken_away_in_the_picture) {
    begin();
    auto* picture = find<ShapePicture>("shapePicture");
    const QPoint at(picture->width() / 2, picture->height() / 3);
    QTest::mouseDClick(picture, Qt::LeftButton, Qt::NoModifier, at);
    ASSERT_EQ(track(2).chain.size(), 1u);
    EXPECT_EQ(track(2).chain[0].type, "equaliser");
    EXPECT_EQ(track(2).chain[0].values.at("band1.in"), 1.0);
    const double hz = track(2).chain[0].values.at("band1.hz"), db = track(2).chain[0].values.at("band1.db");
    EXPECT_GT(db, 3.0);
    drag(picture, at, at + QPoint(60, 40));
    EXPECT_GT(track(2).chain[0].values.at("band1.hz"), 1.5 * hz);
    EXPECT_LT(track(2).chain[0].values.at("band1.db"), db - 2.0);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(2).chain[0].values.at("band1.hz"), hz);
    QTest::mouseDClick(picture, Qt::LeftButton, Qt::NoModifier, at);
    EXPECT_EQ(track(2).chain[0].values.at("band1.in"), 1.0) << "a double click never removes";
    EXPECT_EQ(track(2).chain[0].values.at("band1.q"), 0.7) << "a boost begins wide";
    // The form has the band that is touched, mix and output before it.
    auto* form = qobject_cast<QFormLayout*>(find<QScrollArea>("shapeForm")->widget()->layout());
    const auto row_of = [&](const char* name) {
        int row = -1;
        form->getWidgetPosition(find<QWidget>(name), &row, nullptr);
        return row;
    };
    EXPECT_LT(row_of("mix"), 3);
    EXPECT_LT(row_of("output_db"), 3);
    EXPECT_GT(row_of("band1.hz"), row_of("band"));
    EXPECT_LE(form->rowCount(), 12);
    EXPECT_FALSE(window->findChild<QWidget*>("band2.hz"));
    // Shift is fine, Ctrl holds the frequency, Alt the gain.
    const auto band = [&](const char* what) { return track(2).chain[0].values.at(std::string("band1.") + what); };
    const double before_hz = band("hz"), before_db = band("db");
    drag(picture, at, at + QPoint(30, 30), Qt::ControlModifier);
    EXPECT_EQ(band("hz"), before_hz);
    EXPECT_LT(band("db"), before_db - 1.0);
    key(Qt::Key_Z, Qt::ControlModifier);
    drag(picture, at, at + QPoint(30, 30), Qt::AltModifier);
    EXPECT_GT(band("hz"), before_hz * 1.1);
    EXPECT_EQ(band("db"), before_db);
    key(Qt::Key_Z, Qt::ControlModifier);
    drag(picture, at, at + QPoint(30, 30), Qt::ShiftModifier);
    EXPECT_GT(band("hz"), before_hz);
    EXPECT_LT(band("hz"), before_hz * 1.1);
    // A cut begins narrow, and its fields come up; the menu removes it.
    const QPoint below(picture->width() / 4, picture->height() * 3 / 4);
    QTest::mouseDClick(picture, Qt::LeftButton, Qt::NoModifier, below);
    EXPECT_EQ(track(2).chain[0].values.at("band2.q"), 3.0);
    catch_up();
    EXPECT_TRUE(window->findChild<QWidget*>("band2.hz"));
    in_opened<QMenu>(
        [&] {
            QContextMenuEvent event(QContextMenuEvent::Mouse, below, picture->mapToGlobal(below));
            QApplication::sendEvent(picture, &event);
        },
        [&](QMenu& menu) {
            for (QAction* a : menu.actions())
                if (a->objectName() == "removeBand") a->trigger();
            menu.close();
        });
    EXPECT_EQ(track(2).chain[0].values.at("band2.in"), 0.0);
}

TEST_F(Shape, a_word_of_the_chain_takes_its_processor_out_and_order_is_changed) {
    begin();
    add("gate");
    add("saturation");
    ASSERT_EQ(track(2).chain.size(), 2u);
    const int left = 12 + lane(2)->width() * 58 / 100 + lane(2)->width() * 17 / 100 + 16;
    QTest::mouseClick(lane(2), Qt::LeftButton, Qt::NoModifier, QPoint(left + 20, lane(2)->height() / 2));
    EXPECT_FALSE(track(2).chain[0].in);
    find<QListWidget>("chainList")->setCurrentRow(1);
    QTest::mouseClick(find<QPushButton>("chainUp"), Qt::LeftButton);
    EXPECT_EQ(track(2).chain[0].type, "saturation");
    EXPECT_EQ(track(2).chain[1].type, "gate");
}

TEST_F(Shape, the_ear_has_a_change_at_once_and_the_figures_follow) {
    begin();
    shaped();
    type(lane(1), "700");
    // Nothing was waited for: the device plays the new chain, while peaks and pictures still tell of what was before.
    const auto part_of = [](const PlanPtr& plan, TrackId id) -> const PlanPart& {
        for (const PlanPart& p : plan->parts)
            if (plan->id_of(p) == id) return p;
        return plan->parts.front();
    };
    const PlanPart& heard = part_of(work().player.heard(), track(1).id);
    ASSERT_TRUE(signal_of(heard.material));
    EXPECT_TRUE(signal_of(heard.material)->is_provisional());
    EXPECT_EQ(signal_of(heard.material)->recipe().chain[0].values.at("hz"), 700.0);
    EXPECT_FALSE(signal_of(part_of(work().player.plan(), track(1).id).material));
    // And Mains says that its figure is of what was before.
    const auto* mains = find<Mains>("mains");
    EXPECT_TRUE(mains->peak_title().contains("before")) << mains->peak_title().toStdString();
    shaped();
    EXPECT_FALSE(signal_of(part_of(work().player.heard(), track(1).id).material)->is_provisional());
    EXPECT_TRUE(signal_of(part_of(work().player.plan(), track(1).id).material));
    EXPECT_FALSE(mains->peak_title().contains("before"));
}

TEST_F(Shape, a_bus_has_a_chain_that_is_set_like_a_tracks) {
    begin();
    shaped();
    const double before = *work().mix.peak()->dbfs;
    work().document.edit("bus", with_new_bus(session(), "Boats", std::nullopt, {track(0).id, track(1).id}));
    catch_up();
    const TrackId bus = session().buses[0].id;
    ShapeLane* lane_of_bus = nullptr;
    for (auto* l : window->findChildren<ShapeLane*>())
        if (l->id() == bus) lane_of_bus = l;
    ASSERT_TRUE(lane_of_bus);
    QTest::mouseClick(lane_of_bus, Qt::LeftButton, Qt::NoModifier, QPoint(40, 8));
    EXPECT_EQ(work().view.shape.row(), bus);
    add("compressor");
    ASSERT_EQ(session().buses[0].chain.size(), 1u);
    find<QDoubleSpinBox>("threshold_dbfs")->setValue(-40.0);
    find<QDoubleSpinBox>("attack_ms")->setValue(0.1);
    shaped();
    ASSERT_TRUE(work().materials.shaped_sum(session().buses[0].id));
    EXPECT_LT(*work().mix.peak()->dbfs, before - 1.0);
    const double loud = *work().materials.shaped_sum(session().buses[0].id)->measurement.integrated_lufs;
    key(Qt::Key_F7);
    EXPECT_FALSE(session().buses[0].chain[0].in);
    wait_for([&] {
        catch_up();
        const MaterialPtr m = work().materials.shaped_sum(session().buses[0].id);
        return m && std::fabs(*m->measurement.integrated_lufs - loud) < 0.05;
    });
    EXPECT_TRUE(work().document.can_undo());
    key(Qt::Key_Z, Qt::ControlModifier);  // taking it out, with its match, was one step
    EXPECT_TRUE(session().buses[0].chain[0].in);
    EXPECT_EQ(session().buses[0].chain[0].match_db, 0.0);
    key(Qt::Key_F9);
    EXPECT_TRUE(session().buses[0].chain_out);
    shaped();
    EXPECT_NEAR(*work().mix.peak()->dbfs, before, 1e-6);
    // A member's fader moves what the bus makes; choosing a track shows that track again.
    key(Qt::Key_F9);
    shaped();
    const double with = *work().mix.peak()->dbfs;
    work().edits.set_fader(track(0).id, -20.0, 0);
    shaped();
    EXPECT_LT(*work().mix.peak()->dbfs, with);
    work().document.select_only(track(1).id);
    EXPECT_EQ(work().view.shape.row(), track(1).id);
}

TEST_F(Shape, an_export_waits_for_the_chains) {
    begin();
    type(lane(1), "700");
    station(6);
    const fs::path out = folder / "out/mix.wav";
    find<QLineEdit>("exportFile")->setText(to_qt(out));
    QTest::mouseClick(find<QPushButton>("export"), Qt::LeftButton);
    wait_for([&] { return !work().materials.shaping() && !work().exports.busy() && is_there(out); });
    settle();
    // The mix that left is the one with the low cut.
    const auto left = read(out);
    float peak = 0.0f;
    for (const float x : left) peak = std::max(peak, std::fabs(x));
    EXPECT_NEAR(20.0 * std::log10(static_cast<double>(peak)), *work().mix.peak()->dbfs, 0.01);
}

TEST_F(Shape, presets_are_put_on_rows_and_chains_copied) {
    begin();
    take_entry("chainPresets", "preset_Level bass");
    ASSERT_EQ(track(2).chain.size(), 1u);
    EXPECT_EQ(track(2).chain[0].type, "compressor");
    // Its threshold is found for this track, in the same step.
    const double shipped = find_preset(shipped_presets(), "Level bass")->chain[0].values.at("threshold_dbfs");
    wait_for([&] { return track(2).chain[0].values.at("threshold_dbfs") != shipped; });
    shaped();
    EXPECT_NEAR(signal_of(work().materials.shaped(track(2)))->reduction(0)->typical_db, 5.0, 0.2);
    work().document.undo();
    EXPECT_TRUE(track(2).chain.empty());
    work().document.redo();
    take_entry("chainPresets", "chainCopy");
    work().document.select({track(0).id, track(1).id}, track(0).id);
    catch_up();
    take_entry("chainPresets", "chainPaste");
    for (size_t n = 0; n < 2; ++n) EXPECT_EQ(track(n).chain, track(2).chain);
    work().document.undo();
    for (size_t n = 0; n < 2; ++n) EXPECT_TRUE(track(n).chain.empty());
    work().document.select_only(track(2).id);
    answers.text = "Mine";
    take_entry("chainPresets", "chainKeep");
    EXPECT_TRUE(is_there(folder / "config/isotonus/presets/Mine.json"));
    // There is a chain already: what becomes of it is asked, and is one step.
    answers.asked = 0;
    answers.answer = Prompter::Answer::cancel;
    take_entry("chainPresets", "preset_Mine");
    EXPECT_EQ(answers.asked, 1);
    EXPECT_EQ(track(2).chain.size(), 1u);
    answers.answer = Prompter::Answer::yes;
    take_entry("chainPresets", "preset_Mine");
    ASSERT_EQ(track(2).chain.size(), 2u) << "appended";
    EXPECT_NE(track(2).chain[0].id, track(2).chain[1].id);
    work().document.undo();
    ASSERT_EQ(track(2).chain.size(), 1u);
    answers.answer = Prompter::Answer::no;
    take_entry("chainPresets", "preset_Mine");
    ASSERT_EQ(track(2).chain.size(), 1u) << "replaced";
    EXPECT_EQ(track(2).chain[0].values.at("ratio"), 4.0);
    answers.choice = 0;
    take_entry("chainPresets", "Delete a preset\u2026");
    EXPECT_FALSE(is_there(folder / "config/isotonus/presets/Mine.json"));
}

TEST_F(Shape, advice_is_a_ghost_until_it_is_taken) {
    begin();
    settle();
    work().document.select_only(track(1).id);
    catch_up();
    take_entry("chainAdvice", "suggestLowCut");
    advised();
    EXPECT_TRUE(advice().contains("low cut")) << advice().toStdString();
    EXPECT_TRUE(track(1).chain.empty());
    EXPECT_EQ(work().view.shape.ghosts().size(), 1u);
    QTest::mouseClick(find<QPushButton>("adviceLeave"), Qt::LeftButton);
    EXPECT_TRUE(work().view.shape.ghosts().empty());
    take_entry("chainAdvice", "suggestLowCut");
    advised();
    QTest::mouseClick(find<QPushButton>("adviceTake"), Qt::LeftButton);
    ASSERT_EQ(track(1).chain.size(), 1u);
    const double hz = track(1).chain[0].values.at("hz");
    EXPECT_GT(hz, 100.0);
    EXPECT_FALSE(find<QWidget>("adviceStrip")->isVisible());
    take_entry("chainAdvice", "suggestBack");
    EXPECT_NEAR(track(1).chain[0].values.at("hz"), 0.88 * hz, 1e-9);
    // An edit meanwhile: what was advised is of the past.
    take_entry("chainAdvice", "suggestLowCut");
    advised();
    work().edits.set_fader(track(0).id, -3.0, 0);
    EXPECT_TRUE(work().view.shape.ghosts().empty());
    // The reduction that is wanted, from the whole song.
    add("compressor");
    shaped();
    find<QListWidget>("chainList")->setCurrentRow(1);
    answers.numbers = {{0, 4.0}, {1, 0.0}};
    take_entry("chainAdvice", "suggestReduction");
    advised();
    QTest::mouseClick(find<QPushButton>("adviceTake"), Qt::LeftButton);
    shaped();
    EXPECT_NEAR(signal_of(work().materials.shaped(track(1)))->reduction(1)->typical_db, 4.0, 0.15);
    take_entry("chainAdvice", "1 Kick");
    advised();
    EXPECT_TRUE(advice().contains("10 hit")) << advice().toStdString();
    for (const char* what : {"suggestTroubles", "suggestRoom", "suggestCover"}) {
        take_entry("chainAdvice", what);
        advised();
        EXPECT_FALSE(advice().isEmpty()) << what;
    }
}

TEST_F(Shape, what_a_cut_takes_is_heard_alone) {
    begin();
    type(lane(1), "700");
    work().document.select_only(track(1).id);
    shaped();
    take_entry("chainAdvice", "suggestHearCut");
    const PlanPtr heard = work().player.heard();
    std::vector<float> out(2 * 48000);
    auto reader = PlanReader::open(heard, true).value();
    Renderer(heard).process(48000, 48000, reader.read(48000, 48000).value(), out.data());
    // The pad is a sine of 220 Hz at 0.3: |1 - H| of a Butterworth low cut at 700 Hz, s = j 220 / 700.
    const std::complex<double> s(0.0, 220.0 / 700.0), h = s * s / (s * s + std::sqrt(2.0) * s + 1.0);
    double square = 0.0;
    for (const float x : out) square += static_cast<double>(x) * static_cast<double>(x);
    EXPECT_NEAR(10.0 * std::log10(2.0 * square / static_cast<double>(out.size())),
                20.0 * std::log10(0.3 * std::abs(1.0 - h)), 0.1);
    EXPECT_EQ(session().tracks.size(), 3u);  // for the ear only
    take_entry("chainAdvice", "suggestHearCut");
    EXPECT_EQ(work().player.heard()->tracks.size(), 3u);
}

TEST_F(Shape, a_sweep_boosts_while_it_is_held_and_cuts_when_let_go) {
    begin();
    auto* picture = find<ShapePicture>("shapePicture");
    const QPoint at(picture->width() / 2, picture->height() / 2);
    QTest::mousePress(picture, Qt::LeftButton, Qt::AltModifier, at);
    ASSERT_EQ(track(2).chain.size(), 1u);
    EXPECT_GT(track(2).chain[0].values.at("band1.db"), 6.0);
    const double hz = track(2).chain[0].values.at("band1.hz");
    QTest::mouseMove(picture, at + QPoint(40, 0));
    EXPECT_GT(track(2).chain[0].values.at("band1.hz"), hz);
    EXPECT_GT(track(2).chain[0].values.at("band1.db"), 6.0);
    QTest::mouseRelease(picture, Qt::LeftButton, Qt::AltModifier, at + QPoint(40, 0));
    EXPECT_LT(track(2).chain[0].values.at("band1.db"), 0.0);
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(track(2).chain.empty());  // one step
    // Alt let go first: it was a look, and nothing stays.
    QTest::mousePress(picture, Qt::LeftButton, Qt::AltModifier, at);
    ASSERT_EQ(track(2).chain.size(), 1u);
    QTest::mouseRelease(picture, Qt::LeftButton, Qt::NoModifier, at);
    EXPECT_TRUE(track(2).chain.empty());
}

TEST_F(Shape, times_are_typed_as_note_values) {
    begin();
    add("compressor");
    // Without a tempo a note value asks for it in place.
    auto* untimed = find<QDoubleSpinBox>("release_ms");
    answers.text = "60";
    untimed->setFocus();
    untimed->selectAll();
    QTest::keyClicks(untimed, "1/4");
    QTest::keyClick(untimed, Qt::Key_Return);
    EXPECT_NEAR(track(2).chain[0].values.at("release_ms"), 1000.0, 1e-9);
    ASSERT_EQ(session().tempo.size(), 1u);
    work().document.undo();
    work().document.undo();
    Session timed = session();
    timed.tempo.push_back({0.0, 120.0, 4, 4});
    work().document.edit("tempo", timed);
    auto* release = find<QDoubleSpinBox>("release_ms");
    release->setFocus();
    release->selectAll();
    QTest::keyClicks(release, "1/8");
    QTest::keyClick(release, Qt::Key_Return);
    EXPECT_NEAR(track(2).chain[0].values.at("release_ms"), 250.0, 1e-9);
}

TEST_F(Shape, a_word_is_dragged_to_another_place_and_the_threshold_in_the_large_picture) {
    begin();
    for (const char* type : {"low_cut", "equaliser", "compressor"}) add(type);
    shaped();
    const auto order = [&] {
        std::string all;
        for (const Processor& p : track(2).chain) all += p.type + " ";
        return all;
    };
    const QRect levels = level_area(lane(2)->width(), lane(2)->height());
    const int each = std::min(62, (lane(2)->width() - levels.right() - 16 - 4) / 3);
    const auto word = [&](int n) { return QPoint(levels.right() + 16 + n * each + each / 2, 14); };
    drag(lane(2), word(0), word(2));
    EXPECT_EQ(order(), "equaliser compressor low_cut ");
    EXPECT_TRUE(track(2).chain[2].in);  // moved, not taken out
    drag(lane(2), word(2), word(0));
    EXPECT_EQ(order(), "low_cut equaliser compressor ");
    QTest::mouseClick(lane(2), Qt::LeftButton, Qt::NoModifier, word(1));
    EXPECT_FALSE(track(2).chain[1].in);
    work().document.undo();
    EXPECT_TRUE(track(2).chain[1].in);
    // The compressor is chosen: levels in place of frequencies.
    find<QListWidget>("chainList")->setCurrentRow(2);
    auto* picture = find<LevelPicture>("levelPicture");
    EXPECT_TRUE(picture->isVisible());
    EXPECT_FALSE(find<ShapePicture>("shapePicture")->isVisible());
    const double before =
        track(2).chain[2].values.contains("threshold_dbfs") ? track(2).chain[2].values.at("threshold_dbfs") : -18.0;
    drag(picture, QPoint(150, 100), QPoint(100, 100));
    const double after = track(2).chain[2].values.at("threshold_dbfs");
    EXPECT_LT(after, before - 5.0);
    work().document.undo();  // one step
    EXPECT_FALSE(track(2).chain[2].values.contains("threshold_dbfs"));
    // A click into the reduction over the song goes there.
    QTest::mouseClick(picture, Qt::LeftButton, Qt::NoModifier, QPoint(picture->width() - 40, 100));
    wait_for([&] { return work().player.position_s() > 1.0; });
    EXPECT_GT(work().player.position_s(), 1.0);
    find<QListWidget>("chainList")->setCurrentRow(1);
    EXPECT_TRUE(find<ShapePicture>("shapePicture")->isVisible());
    // Of very many no word is shown, and no click meets one that cannot be seen.
    work().edits.set_chains({track(2).id}, "many", [](Chain& c) {
        while (c.size() < 64) c.push_back(new_processor(*processor_type("gate"), c));
    });
    shaped();
    const Chain many = track(2).chain;
    for (int x = levels.right() + 10; x < lane(2)->width(); x += 3)
        QTest::mouseClick(lane(2), Qt::LeftButton, Qt::NoModifier, QPoint(x, 14));
    EXPECT_EQ(track(2).chain, many);
}

TEST_F(Shape, make_up_gives_back_what_is_taken_and_stage_says_what_the_chain_adds) {
    begin();
    add("compressor");
    find<QDoubleSpinBox>("threshold_dbfs")->setValue(-40.0);
    find<QDoubleSpinBox>("ratio")->setValue(4.0);
    shaped();
    const double typical = signal_of(work().materials.shaped(track(2)))->reduction(0)->typical_db;
    ASSERT_GT(typical, 1.0);
    take_entry("chainAdvice", "suggestMakeup");
    EXPECT_NEAR(track(2).chain[0].values.at("makeup_db"), typical, 0.051);
    shaped();
    window->stations().choose(1);
    catch_up();
    QString told;
    const auto listening = QObject::connect(&work().view, &ViewState::hint, [&](const QString& text) { told = text; });
    QTest::mouseMove(lane(2), QPoint(40, 10));
    QTest::mouseMove(lane(2), QPoint(44, 10));
    QObject::disconnect(listening);
    EXPECT_TRUE(told.contains("The chain then changes the level by")) << told.toStdString();
    work().document.undo();
    shaped();
    const double without = *work().materials.shaped(track(2))->measurement.average_dbfs;
    EXPECT_LT(without, *work().materials.measured(track(2))->average_dbfs + track(2).trim_db);
}

TEST_F(Shape, a_row_makes_way_by_its_level_or_at_its_hits_by_one_question) {
    begin();
    work().document.select_only(track(1).id);
    answers.numbers = {{0, 0}, {1, 0}, {2, 9.0}, {4, 120.0}, {5, 250.0}};
    take_entry("chainAdvice", "makeWay");
    ASSERT_EQ(track(1).chain.size(), 1u);
    EXPECT_EQ(track(1).chain[0].type, "duck");
    EXPECT_EQ(track(1).chain[0].key, track(0).id);
    EXPECT_EQ(track(1).chain[0].values.at("depth_db"), 9.0);
    EXPECT_EQ(track(1).chain[0].values.at("release_ms"), 250.0);
    EXPECT_FALSE(track(1).rides.any());
    // Asked again it is the same duck; and the other way it is a ride of the level, one undo step each.
    answers.numbers[2] = 6.0;
    take_entry("chainAdvice", "makeWay");
    ASSERT_EQ(track(1).chain.size(), 1u);
    EXPECT_EQ(track(1).chain[0].values.at("depth_db"), 6.0);
    answers.numbers[1] = 1.0;
    take_entry("chainAdvice", "makeWay");
    ASSERT_TRUE(track(1).rides[Parameter::level]);
    EXPECT_NEAR(track(1).rides[Parameter::level]->value_at(1.51), -6.0, 0.01);
    work().document.undo();
    EXPECT_FALSE(track(1).rides.any());
    answers.cancel_numbers = true;
    take_entry("chainAdvice", "makeWay");
    EXPECT_FALSE(track(1).rides.any());
}

TEST_F(Shape, a_sidechain_shows_the_levels_of_its_source_and_reduction_follows_the_map_and_the_playhead) {
    begin();
    work().document.select_only(track(1).id);
    answers.numbers = {{0, 0}, {1, 0}, {2, 9.0}, {4, 120.0}, {5, 250.0}};
    take_entry("chainAdvice", "makeWay");
    ASSERT_EQ(track(1).chain.at(0).key, track(0).id);
    shaped();
    find<QListWidget>("chainList")->setCurrentRow(0);
    catch_up();
    auto* picture = find<LevelPicture>("levelPicture");
    ASSERT_TRUE(picture->isVisible());
    const QRect levels(0, 26, picture->width() * 47 / 100 - 30, picture->height() - 60);
    const auto drawn = [&] { return picture->grab(levels).toImage(); };
    wait_for([&] { return work().spectra.levels(work().materials.of(track(0))) != nullptr; });
    catch_up();
    const QImage of_source = drawn();
    // Its own level changes nothing in the picture, that of the source does.
    work().document.edit_tracks("own", {track(1).id}, [](Track& t) { t.trim_db = -9.0; });
    shaped();
    EXPECT_EQ(drawn(), of_source);
    work().document.edit_tracks("source", {track(0).id}, [](Track& t) { t.trim_db = -9.0; });
    shaped();
    EXPECT_NE(drawn(), of_source);
    // The strip on the right: a stretch of the song, and the place that is heard.
    const QImage whole = picture->grab().toImage();
    work().view.time.show(1.0, 2.0);
    catch_up();
    EXPECT_NE(picture->grab().toImage(), whole);
    const QImage before = picture->grab().toImage();
    work().player.locate(1.52);
    wait_for([&] { return std::fabs(work().player.position_s() - 1.52) < 1e-3; });
    QTest::qWait(40);
    EXPECT_NE(picture->grab().toImage(), before);
}

TEST(ReductionOfColumn, is_the_deepest_and_the_usual_of_its_blocks) {
    std::vector<float> blocks(1000, 0.0f);  // of 256 frames at 25600 Hz: 10 ms each
    for (size_t n = 100; n < 200; ++n) blocks[n] = -6.0f;
    blocks[150] = -12.0f;
    const auto of = [&](double from_s, double to_s) { return reduction_between(blocks, from_s, to_s, 25600); };
    EXPECT_EQ(of(1.0, 2.0).deepest, -12.0f);
    EXPECT_EQ(of(1.0, 2.0).usual, -6.0f);
    EXPECT_EQ(of(0.0, 10.0).usual, 0.0f);
    EXPECT_EQ(of(1.505, 1.505).deepest, -12.0f) << "a place is the block in which it is";
    EXPECT_EQ(of(20.0, 21.0).deepest, 0.0f);
    EXPECT_EQ(reduction_between({}, 0.0, 1.0, 48000).deepest, 0.0f);
}

TEST_F(Shape, what_room_brought_is_told_after_it_was_taken) {
    // Noise that lies over other noise, a little louder.
    for (const auto& file : fs::directory_iterator(folder / "audio")) fs::remove(file.path());
    write(folder / "audio/1 Pad.wav", make(240000, 1, noise(3, 0.2)), 1, 48000, SampleFormat::s24);
    write(folder / "audio/2 Voice.wav", make(240000, 1, noise(4, 0.1)), 1, 48000, SampleFormat::s24);
    drop({folder / "audio"});
    settle();
    station(3);
    work().document.select_only(track(1).id);
    catch_up();
    take_entry("chainAdvice", "suggestRoom");
    advised();
    ASSERT_FALSE(work().view.shape.ghosts().empty()) << advice().toStdString();
    QTest::mouseClick(find<QPushButton>("adviceTake"), Qt::LeftButton);
    wait_for([&] { return advice().contains("expected"); });
    EXPECT_TRUE(advice().contains("is heard now")) << advice().toStdString();
    EXPECT_FALSE(work().mix.audibility_wanted());
    QTest::mouseClick(find<QPushButton>("adviceLeave"), Qt::LeftButton);
    EXPECT_FALSE(find<QWidget>("adviceStrip")->isVisible());
}

TEST_F(Shape, read_outs_of_the_main_output_say_what_they_are) {
    begin();
    auto* mains = find<QWidget>("mains");
    QStringList seen;
    for (int y = 140; y < 420; y += 10) {
        QToolTip::hideText();
        const QPoint at(170, y);
        QHelpEvent help(QEvent::ToolTip, at, mains->mapToGlobal(at));
        QApplication::sendEvent(mains, &help);
        const QString text = QToolTip::text();
        if (!text.isEmpty() && !seen.contains(text)) seen << text;
    }
    EXPECT_EQ(seen.size(), 7) << seen.join('\n').toStdString();
    for (const QString& text : seen) EXPECT_GE(text.count(". "), 1) << text.toStdString();
}
