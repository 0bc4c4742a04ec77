// Gestures of practitioners: control groups that mute, loops over sections, staging without a passage, the order of
// anchors, figures of what is soloed, a low end heard alone, one ride taken out.
#include <QComboBox>
#include <QListWidget>
#include <QSignalSpy>

#include "app/balance/bus_block.h"
#include "app/songmap/song_map.h"
#include "app/window/guide_window.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

class Gestures : public Window {
  protected:
    void SetUp() override {
        Window::SetUp();
        import_all();
    }
    void edit(const std::function<void(Session&)>& change) {
        Session next = session();
        change(next);
        work().document.edit("for the test", std::move(next));
        settle();
    }
    void four_sections() {
        edit([](Session& s) { s.sections = {{"intro", 0.0}, {"verse", 1.0}, {"chorus", 2.0}, {"end", 3.0}}; });
    }
    std::pair<double, double> loop() { return {work().player.loop().from_s, work().player.loop().to_s}; }
    BusHead* bus_head(size_t n = 0) {
        return find<BusBlock>("busBlock")->findChildren<BusHead*>()[static_cast<qsizetype>(n)];
    }
    QString last_hint(const std::function<void()>& act) {
        QSignalSpy hints(&work().view, &ViewState::hint);
        act();
        catch_up();
        return hints.isEmpty() ? QString() : hints.last()[0].toString();
    }
};

}  // namespace

TEST_F(Gestures, the_hint_goes_when_the_pointer_leaves_what_it_is_about) {
    station(2);
    catch_up();
    auto* hint = find<QLabel>("hint");
    for (QWidget* about : {static_cast<QWidget*>(lane(0)), static_cast<QWidget*>(window->findChild<SongMap*>())}) {
        QTest::mouseMove(about, about->rect().center() - QPoint(10, 0));
        QTest::mouseMove(about, about->rect().center());
        EXPECT_FALSE(hint->text().isEmpty()) << about->metaObject()->className();
        QEvent leave(QEvent::Leave);
        QApplication::sendEvent(about, &leave);
        EXPECT_TRUE(hint->text().isEmpty()) << hint->text().toStdString();
    }
}

TEST_F(Gestures, a_control_group_is_muted_soloed_and_inked_like_a_bus) {
    station(2);
    work().document.select({track(0).id, track(1).id}, track(0).id);
    key(Qt::Key_B, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_EQ(session().groups.size(), 1u);
    BusHead* head = bus_head();
    QTest::mouseClick(head->findChild<QToolButton*>("mute"), Qt::LeftButton);
    EXPECT_TRUE(session().groups[0].mute);
    EXPECT_FALSE(session().is_heard(track(0)));
    EXPECT_TRUE(session().is_heard(track(2)));
    QTest::mouseClick(head->findChild<QToolButton*>("mute"), Qt::LeftButton);
    QTest::mouseClick(head->findChild<QToolButton*>("solo"), Qt::LeftButton);
    EXPECT_TRUE(session().groups[0].solo && session().any_solo());
    EXPECT_FALSE(session().is_heard(track(2)));
    EXPECT_EQ(Editing::how_many(session(), Editing::Flag::solo), 1);
    choose_in_menu(head, "Colour 5");
    EXPECT_EQ(session().groups[0].colour_index, 4);
    key(Qt::Key_S, Qt::ShiftModifier);  // all solos off
    EXPECT_FALSE(session().any_solo());
    undo_everything();
    EXPECT_TRUE(session().groups.empty());
}

TEST_F(Gestures, a_bus_may_be_heard_over_a_dimmed_mix) {
    work().document.select({track(0).id, track(1).id}, track(0).id);
    key(Qt::Key_B, Qt::ControlModifier);
    settle();
    work().player.solo_bus(session().buses[0].id);
    EXPECT_EQ(work().player.heard()->tracks[2].fader_gain, 0.0) << "Silent";
    EXPECT_FALSE(work().player.heard()->any_listening());
    in_opened<QDialog>([&] { window->findChild<QAction*>("settings")->trigger(); },
                       [&](QDialog& dialog) {
                           dialog.findChild<QComboBox*>("settingsAlone")->setCurrentIndex(1);
                           dialog.accept();
                       });
    const PlanPtr heard = work().player.heard();
    EXPECT_NE(heard->tracks[2].fader_gain, 0.0);
    EXPECT_TRUE(heard->any_listening());
    EXPECT_FALSE(heard->parts[0].listen.silent());
    EXPECT_TRUE(heard->parts[2].listen.silent()) << "it is not under the bus";
    work().player.solo_bus(session().buses[0].id);
    EXPECT_FALSE(work().player.heard()->any_listening());
}

TEST_F(Gestures, a_solo_safe_row_is_marked) {
    work().document.select_only(track(1).id);
    const QImage before = window->desk().head_of(track(1).id)->grab().toImage();
    key(Qt::Key_S, Qt::AltModifier);
    ASSERT_TRUE(track(1).solo_safe);
    RowHead* head = window->desk().head_of(track(1).id);
    EXPECT_NE(head->grab().toImage(), before);
    EXPECT_TRUE(head->findChild<QToolButton*>("solo")->accessibleName().contains("solo safe"));
}

TEST_F(Gestures, loops_take_in_neighbouring_sections) {
    four_sections();
    auto* map = find<SongMap>("songMap");
    const int left = head_width, wide = map->width() - head_width - mains_width - scroll_width;
    const auto x_of = [&](double s) { return left + static_cast<int>(s / work().view.time.song_s() * wide); };
    drag(map, {x_of(1.5), 8}, {x_of(2.5), 8}, Qt::ShiftModifier);
    EXPECT_EQ(loop(), std::pair(1.0, 3.0));
    work().player.set_loop({});
    work().player.locate(1.2);
    key(Qt::Key_PageDown, Qt::ShiftModifier);
    EXPECT_EQ(loop(), std::pair(1.0, 2.0)) << "without a loop: the section at the playhead";
    key(Qt::Key_PageDown, Qt::ShiftModifier);
    EXPECT_EQ(loop(), std::pair(1.0, 3.0));
    key(Qt::Key_PageUp, Qt::ShiftModifier);
    EXPECT_EQ(loop(), std::pair(0.0, 3.0));
    key(Qt::Key_PageUp, Qt::ShiftModifier);
    EXPECT_EQ(loop(), std::pair(0.0, 3.0)) << "there is none before";
    // Whole bars, when the song has a tempo and edges snap: bars of 0.8 s here.
    edit([](Session& s) { s.tempo = {{0.0, 300.0}}; });
    QTest::mouseDClick(map, Qt::LeftButton, {}, {x_of(1.5), 8});
    EXPECT_NEAR(loop().first, 0.8, 1e-9);
    EXPECT_NEAR(loop().second, 2.4, 1e-9);
    key(Qt::Key_J);
    QTest::mouseDClick(map, Qt::LeftButton, {}, {x_of(1.5), 8});
    EXPECT_EQ(loop(), std::pair(1.0, 2.0));
}

TEST_F(Gestures, rows_are_staged_without_the_marked_stretch) {
    // The second of the pad's five seconds is 6 dB louder.
    work().document.select_only(track(1).id);
    edit([&](Session& s) {
        s = with_track(s, track(1).id, [](Track& t) {
            t.kind = Kind::sustained;
            t.source.clips = with_gain_between(clips_of(t.source, 240000), 48000, 96000, 6.0, 96);
        });
    });
    key(Qt::Key_G, Qt::ControlModifier);
    const double with_all = track(1).trim_db;
    station(1);
    EXPECT_FALSE(last_hint([&] { key(Qt::Key_G, Qt::ControlModifier | Qt::ShiftModifier); }).isEmpty());
    EXPECT_FALSE(track(1).staged_without) << "nothing is marked";
    work().player.set_loop({true, 0.95, 2.05});
    key(Qt::Key_G, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_TRUE(track(1).staged_without);
    wait_for([&] {
        return work().materials.for_staging(track(1)) != nullptr && std::fabs(track(1).trim_db - with_all) > 1.0;
    });
    EXPECT_GT(track(1).trim_db, with_all + 2.0);
    EXPECT_EQ(fit_of(*work().materials.staging(track(1))), Fit::inside);
    EXPECT_TRUE(last_hint([&] {
                    QMouseEvent move(QEvent::MouseMove, QPointF(20, 10), lane(1)->mapToGlobal(QPointF(20, 10)),
                                     Qt::NoButton, Qt::NoButton, Qt::NoModifier);
                    QApplication::sendEvent(lane(1), &move);
                }).contains("Staged without"));
    // It is saved, and one step takes all of it back.
    const fs::path file = folder / "s.isotonus";
    ASSERT_TRUE(work().document.save(file));
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_FALSE(track(1).staged_without);
    EXPECT_EQ(track(1).trim_db, with_all);
    ASSERT_TRUE(work().document.open(file));
    settle();
    wait_for([&] { return work().materials.staging(track(1)).has_value(); });
    EXPECT_EQ(fit_of(*work().materials.staging(track(1))), Fit::inside);
    work().document.select_only(track(1).id);
    key(Qt::Key_G, Qt::ControlModifier | Qt::ShiftModifier);  // again: with all of the song
    settle();
    EXPECT_FALSE(track(1).staged_without);
    EXPECT_NEAR(track(1).trim_db, with_all, 1e-9);
}

TEST_F(Gestures, the_order_of_the_anchors_is_chosen_before_a_build_up) {
    work().document.select_all();
    key(Qt::Key_A);
    station(2);
    key(Qt::Key_B);
    auto* list = find<QListWidget>("anchorOrder");
    EXPECT_FALSE(list->isVisible()) << "the order by style needs none";
    find<QComboBox>("buildUpOrder")->setCurrentIndex(2);
    ASSERT_TRUE(list->isVisible());
    ASSERT_EQ(list->count(), 3);
    list->setCurrentRow(2);
    QTest::mouseClick(find<QPushButton>("anchorEarlier"), Qt::LeftButton);
    QTest::mouseClick(find<QPushButton>("anchorEarlier"), Qt::LeftButton);
    EXPECT_EQ(list->item(0)->text(), "3 Voice");
    EXPECT_EQ(list->currentRow(), 0) << "what is moved stays chosen";
    QTest::mouseClick(find<QPushButton>("buildUpStart"), Qt::LeftButton);
    EXPECT_EQ(find<QLabel>("buildUpStep")->text(), "1 of 3: 3 Voice");
    EXPECT_FALSE(list->isVisible());
    key(Qt::Key_Z, Qt::ControlModifier);
}

TEST_F(Gestures, the_figures_of_what_is_soloed_are_told) {
    work().document.select_only(track(2).id);
    key(Qt::Key_S);
    QSignalSpy told(&work().mix, &MixWatch::heard_measured);
    QSignalSpy hints(&work().view, &ViewState::told);
    key(Qt::Key_K, Qt::ControlModifier);
    wait_for([&] { return !told.isEmpty(); });
    const QString text = hints.last()[0].toString();
    EXPECT_TRUE(text.startsWith("The soloed tracks, whole song: peak ")) << text.toStdString();
    // A sine of 0.05 in the centre: -26.0 dBFS, less 3.0 dB of the pan law.
    EXPECT_TRUE(text.contains(QString::fromUtf8("peak −29.0 dBFS"))) << text.toStdString();
    EXPECT_NE(*work().mix.peak()->dbfs, -29.0) << "Mains stays with the mix";
}

TEST_F(Gestures, the_centred_low_end_is_typed_and_heard_alone) {
    RowHead* head = window->desk().head_of(track(1).id);
    answers.text = "95,5 Hz";
    choose_in_menu(head, QString::fromUtf8("Below another frequency…"));
    EXPECT_EQ(track(1).mono_below_hz, 95.5);
    answers.text = "20";
    choose_in_menu(head, QString::fromUtf8("Below another frequency…"));
    EXPECT_EQ(track(1).mono_below_hz, 95.5);
    ASSERT_EQ(answers.complaints.size(), 1);
    EXPECT_TRUE(answers.complaints[0].contains("40"));
    settle();
    choose_in_menu(head, "Hear only the mono bass");
    EXPECT_EQ(work().player.hearing(), Player::Hearing::low_end);
    wait_for([&] { return work().player.playing(); });
    const PlanPtr heard = work().player.heard();
    int audible = 0;
    for (const PlanPart& p : heard->parts) {
        if (!p.heard()) continue;
        ++audible;
        EXPECT_EQ(p.band, Band::low);
        EXPECT_EQ(heard->id_of(p), track(1).id);
    }
    EXPECT_EQ(audible, 1);
    key(Qt::Key_Space);
    wait_for([&] { return work().player.hearing() == Player::Hearing::mix; });
}

TEST_F(Gestures, a_double_click_on_a_figure_types_it) {
    station(1);
    key(Qt::Key_G, Qt::ControlModifier);
    static_cast<QWidget*>(lane(1))->grab();  // where the figure stands is known once it was drawn
    const auto type_at = [&](Lane* l, const QPoint& at, const QString& text) {
        QTest::mouseDClick(l, Qt::LeftButton, {}, at);
        auto* entry = l->findChild<QLineEdit*>("valueEntry");
        if (!entry || !entry->isVisible()) return false;
        entry->selectAll();
        QTest::keyClicks(entry, text);
        QTest::keyClick(entry, Qt::Key_Return);
        return true;
    };
    const auto figure_of = [](Lane* l) {  // the figure is somewhere in the lane: the entry opens over it
        for (int x = 4; x < l->width(); x += 6) {
            QTest::mouseDClick(l, Qt::LeftButton, {}, {x, l->height() / 3});
            auto* entry = l->findChild<QLineEdit*>("valueEntry");
            if (!entry || !entry->isVisible()) continue;
            QTest::keyClick(entry, Qt::Key_Escape);
            return QPoint(x, l->height() / 3);
        }
        return QPoint();
    };
    const QPoint trim = figure_of(lane(1));
    ASSERT_FALSE(trim.isNull());
    key(Qt::Key_G, Qt::ControlModifier);
    static_cast<QWidget*>(lane(1))->grab();
    ASSERT_TRUE(type_at(lane(1), figure_of(lane(1)), "-2.5"));
    EXPECT_EQ(track(1).trim_db, -2.5);
    station(0);
    edit([&](Session& s) {
        s = with_track(s, track(1).id, [](Track& t) {
            t.source.clips = clips_of(t.source, 240000);
            t.source.clips[0].gain_db = 3.0;
        });
    });
    static_cast<QWidget*>(lane(1))->grab();
    ASSERT_TRUE(type_at(lane(1), {10, 6}, "4"));
    EXPECT_EQ(track(1).source.clips[0].gain_db, 4.0);
}

TEST_F(Gestures, one_ride_is_taken_out_and_in) {
    edit([&](Session& s) {
        s = with_ride(s, track(0).id, Parameter::level, {{{0.0, -6.0}}});
        s = with_ride(s, track(0).id, Parameter::pan, {{{0.0, 0.5}}});
    });
    work().document.select_only(track(0).id);
    station(4);
    auto* in = find<QToolButton>("rideIn");
    ASSERT_TRUE(in->isVisible());
    EXPECT_EQ(in->text(), "On");
    QTest::mouseClick(in, Qt::LeftButton);
    EXPECT_TRUE(track(0).rides.is_out(Parameter::level));
    EXPECT_FALSE(track(0).rides.is_out(Parameter::pan));
    EXPECT_EQ(in->text(), "Bypassed");
    settle();
    EXPECT_TRUE(work().player.plan()->parts[0].level_rides.empty());
    EXPECT_TRUE(work().player.plan()->parts[0].pan_ride);
    auto* editor = find<RideEditor>("rideEditor");
    editor->setFocus();
    QTest::keyClick(editor, Qt::Key_Slash);
    EXPECT_FALSE(track(0).rides.any_bypassed());
}

TEST_F(Gestures, a_late_microphone_is_a_finding_of_its_row) {
    auto late = read(folder / "audio/1 Kick.wav");
    late.insert(late.begin(), 240, 0.0f);
    write(folder / "Kick Room.wav", late, 1);
    drop({folder / "Kick Room.wav"});
    settle();
    const auto finding = [&]() -> const Finding* {
        const auto& all = work().materials.findings(track(3));
        const auto at = std::find_if(all.begin(), all.end(), [](const Finding& f) { return f.id == "alignment"; });
        return at == all.end() ? nullptr : &*at;
    };
    wait_for([&] { return finding() != nullptr; });
    EXPECT_TRUE(QString::fromStdString(finding()->text).startsWith("5.0 ms late against 1 Kick")) << finding()->text;
    // The panel mends it, and the finding goes.
    station(0);
    work().document.select_only(track(3).id);
    key(Qt::Key_E);
    QTest::mouseClick(find<QToolButton>("putRight"), Qt::LeftButton);
    EXPECT_NEAR(track(3).delay_samples, -240.0, 0.1);
    wait_for([&] { return finding() == nullptr; });
    key(Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(track(3).delay_samples, 0.0);
    wait_for([&] { return finding() != nullptr; });
}

TEST_F(Gestures, the_guide_opens_and_its_links_lead_somewhere) {
    const auto pages = guide_folder();
    ASSERT_TRUE(pages) << "cmark-gfm makes it";
    window->findChild<QAction*>("guide")->trigger();
    auto* guide = find<GuideWindow>("guideWindow");
    ASSERT_TRUE(guide->isVisible());
    EXPECT_TRUE(guide->toPlainText().startsWith("The first ten minutes"));
    QStringList seen, open{guide->source().fileName()};
    while (!open.isEmpty()) {
        const QString page = open.takeFirst();
        if (seen.contains(page)) continue;
        seen << page;
        guide->setSource(QUrl::fromLocalFile(to_qt(*pages / page.toStdString())));
        EXPECT_GT(guide->toPlainText().size(), 1000) << page.toStdString();
        for (QTextBlock block = guide->document()->begin(); block.isValid(); block = block.next())
            for (auto at = block.begin(); !at.atEnd(); ++at) {
                const QTextCharFormat format = at.fragment().charFormat();
                if (format.isImageFormat()) {
                    EXPECT_TRUE(fs::exists(*pages / format.toImageFormat().name().toStdString()))
                        << page.toStdString() << ": " << format.toImageFormat().name().toStdString();
                }
                if (!format.anchorHref().isEmpty()) open << format.anchorHref();
            }
    }
    EXPECT_EQ(seen.size(), 11);
    guide->close();
}

TEST_F(Window, from_a_folder_of_24_files_to_a_delivery_in_few_gestures) {
    // Hits, held tones and noise of all levels, 4 s long, named as people name them.
    const std::vector<std::string> struck{"Kick",   "Snare",    "Clap",      "Hats",
                                          "Shaker", "Toms Low", "Toms High", "Tambourine"};
    const std::vector<std::string> held{"Bass",    "Sub",   "Piano", "Organ",        "Guitar Left", "Guitar Right",
                                        "Strings", "Pad",   "Voice", "Voice Double", "Choir",       "Melody",
                                        "Bells",   "Flute", "Riser", "Crowd Noise"};
    fs::create_directories(folder / "song");
    uint32_t n = 0;
    for (const auto* names : {&struck, &held})
        for (const std::string& name : *names) {
            ++n;
            const bool hits = names == &struck;
            const double level = gain_from_db(-3.0 - static_cast<double>(n * 7 % 25)), hz = 55.0 * (1.0 + n);
            const auto wave = [=, hiss = noise(n, 1.0)](int64_t i, int c) {
                const double t = static_cast<double>(i % 24000) / 48000.0;
                return hits ? level * hiss(i, c) * std::exp(-t * 30.0)
                            : level * std::sin(2.0 * std::numbers::pi * hz * static_cast<double>(i) / 48000.0);
            };
            write(folder / "song" / (name + ".wav"), make(192000, 1 + static_cast<int>(n % 2), wave),
                  1 + static_cast<int>(n % 2), 48000, SampleFormat::s24);
        }
    int gestures = 0;
    const auto gesture = [&](const auto& act) {
        act();
        ++gestures;
        catch_up();
    };
    const auto press = [&](const char* button) {
        gesture([&] { QTest::mouseClick(find<QPushButton>(button), Qt::LeftButton); });
    };
    gesture([&] { drop({folder / "song"}); });
    settle();
    ASSERT_EQ(session().tracks.size(), 24u);
    gesture([&] { key(Qt::Key_G, Qt::ControlModifier); });
    for (const auto& t : session().tracks) EXPECT_NE(fit_of(*work().materials.staging(*t)), Fit::above) << t->name;
    gesture([&] { station(2); });
    gesture([&] { key(Qt::Key_B); });
    press("buildUpAll");
    settle();
    gesture([&] { key(Qt::Key_Y); });
    wait_for([&] { return work().mix.headroom().has_value(); });
    catch_up();
    if (!work().mix.headroom()->proposals.empty()) press("proposal1");
    settle();
    EXPECT_LE(*work().mix.peak()->dbfs, session().targets.mains_high_dbfs + 0.1);
    gesture([&] { station(6); });
    settle();
    wait_for([&] { return work().mix.leaving_figures().has_value(); });
    fs::create_directories(folder / "out");
    gesture([&] { find<QLineEdit>("exportFile")->setText(to_qt(folder / "out/Mix.wav")); });
    press("export");
    wait_for([&] { return !work().exports.busy() && fs::exists(folder / "out/Mix.wav"); });
    EXPECT_LE(gestures, 12);
    RecordProperty("gestures", gestures);
    int status = -1;
    const std::string told = output_of("'" ISOTONUS_DESK "' '" + (folder / "out").string() + "' 2>&1", &status);
    EXPECT_EQ(status, 0) << told;
}
