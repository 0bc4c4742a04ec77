// Whole ways through the window, with real keys and a real mouse: events come from the X server, through a window
// manager.  An event that is sent to a widget hides where the focus is, which shortcuts live and what the next key
// does; here every gesture is followed by Space, M and a digit.
#include <QProcess>
#include <QtTest>
#include <QtWidgets>

#include "app/balance/balance_columns.h"
#include "app/balance/balance_lane.h"
#include "app/ride/ride_editor.h"
#include "core/session/session_file.h"
#include "core/shape/reverb.h"
#include "tests/app/dialogs.h"
#include "tests/support/made_song.h"

namespace isotonus::test {

/// Something that files can be dragged from, as from a file manager.
class DragSource : public QLabel {
  public:
    DragSource(const std::vector<fs::path>& files, QWidget* parent) : QLabel("files", parent) {
        for (const fs::path& file : files) urls_ << QUrl::fromLocalFile(to_qt(file));
        setAutoFillBackground(true);
        setGeometry(4, 4, 60, 24);
        raise();
        show();
    }

  protected:
    void mousePressEvent(QMouseEvent*) override {
        auto* data = new QMimeData;
        data->setUrls(urls_);
        auto* drag = new QDrag(this);
        drag->setMimeData(data);
        drag->exec(Qt::CopyAction);
    }

  private:
    QList<QUrl> urls_;
};

class Journey : public Window {
  protected:
    void SetUp() override {
        Window::SetUp();
        DialogPrompter* real = new DialogPrompter(window.get());
        prompter_.reset(real);
        window->set_prompter(real);
        window->activateWindow();
        ASSERT_TRUE(soon([&] { return window->isActiveWindow(); }));
    }
    void TearDown() override { window.reset(); }

    /// xdotool's words: what a hand does.
    void hand(const QStringList& words) {
        ++gestures_;
        ASSERT_EQ(QProcess::execute("xdotool", words), 0) << words.join(' ').toStdString();
        QTest::qWait(30);
    }
    void press(const char* keys) { hand({"key", "--clearmodifiers", keys}); }
    void click(QWidget* widget, std::optional<QPoint> at = std::nullopt) {
        const QPoint point = widget->mapToGlobal(at.value_or(widget->rect().center()));
        hand({"mousemove", QString::number(point.x()), QString::number(point.y()), "click", "1"});
    }
    template <class Done>
    bool soon(Done done) {
        return QTest::qWaitFor(done, 20000);  // as long as a busy machine may take
    }
    /// Space plays, M mutes what is selected, a digit goes to its section: whatever was done before.
    void expect_keys_live(const std::string& after) {
        ASSERT_TRUE(window->isActiveWindow()) << after;
        press("space");
        EXPECT_TRUE(soon([&] { return work().player.playing(); })) << "Space plays after " << after;
        press("space");
        EXPECT_TRUE(soon([&] { return !work().player.playing(); })) << "Space stops after " << after;
        const bool muted = track(0).mute;
        press("m");
        EXPECT_TRUE(soon([&] { return track(0).mute != muted; })) << "M mutes after " << after;
        press("m");
        EXPECT_TRUE(soon([&] { return track(0).mute == muted; })) << after;
        for (const auto& [digit, at_s] : {std::pair("2", 2.0), {"1", 0.0}}) {
            press(digit);
            EXPECT_TRUE(soon([&, at = at_s] { return std::fabs(work().player.position_s() - at) < 0.05; }))
                << digit << " goes to its section after " << after;
        }
    }
    void with_sections() {
        import_all();
        Session s = session();
        s.sections = {{"one", 0.0}, {"two", 2.0}};
        work().document.edit("Sections", s);
        work().document.select_only(track(0).id);
        settle();
    }

    int gestures_ = 0;

  private:
    std::unique_ptr<Prompter> prompter_;
};

TEST_F(Journey, keys_live_in_every_station) {
    with_sections();
    expect_keys_live("opening");
    for (int n = 1; n <= 7; ++n) {
        press(("alt+" + std::to_string(n)).c_str());
        expect_keys_live("going to station " + std::to_string(n));
    }
}

// What is typed over a figure is its value; the field is gone then, and the next keys are the window's.
TEST_F(Journey, a_figure_is_typed_in_every_station_and_the_keys_are_the_windows_again) {
    with_sections();
    const auto field = [&](size_t row) {
        auto* entry = lane(row)->findChild<QLineEdit*>("valueEntry");
        return entry && entry->isVisible() ? entry : nullptr;
    };
    for (const int station_number : {2, 3, 4}) {
        const std::string where = "typing in station " + std::to_string(station_number);
        press(("alt+" + std::to_string(station_number)).c_str());
        click(lane(0), QPoint(4, 4));
        press("Return");
        ASSERT_TRUE(soon([&] { return field(0) != nullptr; })) << where;
        const QPoint figure = field(0)->geometry().center();
        const std::string before = session_to_json(session(), "/");
        hand({"type", "--", station_number == 4 ? "120" : "-8"});
        press("Return");
        EXPECT_TRUE(soon([&] { return field(0) == nullptr; })) << where;
        EXPECT_NE(session_to_json(session(), "/"), before) << where;
        QTest::qWait(100);
        EXPECT_FALSE(field(0)) << "nothing opens again after " << where;
        expect_keys_live(where);
        // Escape leaves what was there; a click on another row takes what was typed, where it was typed.
        const std::string typed = session_to_json(session(), "/");
        click(lane(0), QPoint(4, 4));
        press("Return");
        hand({"type", "--", station_number == 4 ? "99" : "-3"});
        press("Escape");
        EXPECT_FALSE(field(0)) << where;
        EXPECT_EQ(session_to_json(session(), "/"), typed) << where;
        expect_keys_live(where + " and leaving it");
        click(lane(0), figure);
        press("Return");
        hand({"type", "--", station_number == 4 ? "80" : "-5"});
        const auto second = session().tracks[1];
        click(lane(1), QPoint(4, 4));
        EXPECT_TRUE(soon([&] { return session_to_json(session(), "/") != typed; })) << where;
        EXPECT_EQ(session().tracks[1], second) << "the other row has nothing of it, " << where;
        work().document.select_only(track(0).id);
        // Tab goes on to the next figure.
        click(lane(0), QPoint(4, 4));
        press("Return");
        press("Tab");
        EXPECT_TRUE(soon([&] { return field(1) && field(1)->hasFocus(); })) << where;
        press("Escape");
        work().document.select_only(track(0).id);
        expect_keys_live(where + " and Tab");
    }
}

TEST_F(Journey, a_name_is_typed_and_the_keys_are_the_windows_again) {
    with_sections();
    press("F2");
    auto* name = window->findChild<QLineEdit*>("nameEntry");
    ASSERT_TRUE(name && name->isVisible());
    hand({"type", "--", "Lantern"});
    press("Return");
    EXPECT_TRUE(soon([&] { return track(0).name == "Lantern"; }));
    expect_keys_live("a name");
}

TEST_F(Journey, an_export_of_a_mix_that_is_not_whole_asks_and_gives_the_keys_back) {
    with_sections();
    work().edits.set_chains({track(0).id}, "Room", [&](Chain& chain) {
        chain = {new_processor(reverb_type(), {})};
        chain[0].impulse = folder / "gone.wav";
    });
    settle();
    wait_for([&] { return !work().materials.busy(); });
    press("alt+7");
    settle();
    find<QLineEdit>("exportFile")->setText(to_qt(folder / "out/mix.wav"));
    fs::create_directories(folder / "out");
    for (const bool yes : {false, true}) {
        in_opened<QMessageBox>([&] { click(find<QPushButton>("export")); },
                               [&](QMessageBox& question) {
                                   EXPECT_TRUE(soon([&] { return question.isActiveWindow(); }));
                                   EXPECT_TRUE(question.text().contains("gone.wav")) << question.text().toStdString();
                                   press(yes ? "Return" : "Escape");
                               });
        ASSERT_TRUE(soon([&] { return window->isActiveWindow(); }));
        expect_keys_live(yes ? "exporting without it" : "the question was left");
        EXPECT_TRUE(soon([&] { return !work().exports.busy(); }));
        EXPECT_EQ(fs::exists(folder / "out/mix.wav"), yes);
    }
}

// The display server carries what is dragged, also inside one window.
TEST_F(Journey, files_that_are_dropped_come_in_and_leave_the_keys_alive) {
    DragSource source({folder / "audio"}, window.get());
    const QPoint from = source.mapToGlobal(source.rect().center()),
                 to = window->mapToGlobal(QPoint(window->width() / 2, window->height() / 2));
    const auto move = [](const QPoint& at) {
        return QStringList{"mousemove", QString::number(at.x()), QString::number(at.y()), "sleep", "0.2"};
    };
    // Beside this program, which is busy with the drag until the button is let go.
    QProcess hand_of_drag;
    hand_of_drag.start("xdotool", move(from) + QStringList{"mousedown", "1", "sleep", "0.4"} + move((from + to) / 2) +
                                      move(to) + QStringList{"mouseup", "1"});
    ASSERT_TRUE(soon([&] { return session().tracks.size() == 3; }));
    ASSERT_TRUE(soon([&] { return hand_of_drag.state() == QProcess::NotRunning; }));
    source.hide();
    settle();
    // Weston takes the keyboard away for the drag, and gives it back at the next click only.
    if (QGuiApplication::platformName() == "wayland") click(lane(0), QPoint(4, 4));
    EXPECT_TRUE(soon([&] { return window->isActiveWindow(); })) << "after a drop";
    Session s = session();
    s.sections = {{"one", 0.0}, {"two", 2.0}};
    work().document.edit("Sections", s);
    work().document.select_only(track(0).id);
    settle();
    expect_keys_live("a drop");
}

/// From a folder of files to a delivery, as a hand does it: after each gesture the keys are the window's.
TEST_F(Journey, from_a_folder_to_a_delivery_every_gesture_leaves_the_keys_alive) {
    const auto in_menu = [&](const char* button, const std::function<void(QMenu&)>& act) {
        in_opened<QMenu>([&] { click(find<QPushButton>(button)); }, act);
    };
    const auto drag_by = [&](QWidget* widget, const QPoint& from, const QPoint& to) {
        const QPoint a = widget->mapToGlobal(from), b = widget->mapToGlobal(to);
        hand({"mousemove", QString::number(a.x()), QString::number(a.y()), "mousedown", "1", "mousemove",
              QString::number((a.x() + b.x()) / 2), QString::number(b.y()), "mousemove", QString::number(b.x()),
              QString::number(b.y()), "mouseup", "1"});
    };
    const auto double_click = [&](QWidget* widget, const QPoint& at) {
        const QPoint place = widget->mapToGlobal(at);
        hand({"mousemove", QString::number(place.x()), QString::number(place.y()), "click", "--repeat", "2", "--delay",
              "40", "1"});
    };
    in_opened<QFileDialog>([&] { press("ctrl+shift+i"); },
                           [&](QFileDialog& dialog) {
                               EXPECT_TRUE(soon([&] { return dialog.isActiveWindow(); }));
                               hand({"type", "--", to_qt(folder / "audio")});
                               press("Return");
                           });
    ASSERT_TRUE(soon([&] { return session().tracks.size() == 3; }));
    ASSERT_TRUE(soon([&] { return window->isActiveWindow(); })) << "after a dialog";
    settle();
    Session s = session();
    s.sections = {{"one", 0.0}, {"two", 2.0}};
    work().document.edit("Sections", s);
    settle();
    const auto head = [&](size_t n) { return window->desk().head_of(track(n).id); };
    click(head(0), QPoint(60, 10));
    expect_keys_live("a click on a name");
    press("ctrl+g");
    EXPECT_TRUE(soon([&] { return track(0).trim_db != 0.0; }));
    expect_keys_live("staging all");
    press("alt+3");
    ASSERT_TRUE(soon([&] { return qobject_cast<FaderLane*>(lane(0)) && lane(0)->width() > 600; }));
    double_click(lane(0), BalanceColumns(lane(0)->width()).fader_text(lane(0)->height()).center());
    hand({"type", "--", "-8"});
    press("Return");
    EXPECT_TRUE(soon([&] { return track(0).fader_db == -8.0; }));
    expect_keys_live("a typed fader");
    const double fader = track(0).fader_db;
    drag_by(lane(0), QPoint(180, 18), QPoint(150, 18));
    EXPECT_TRUE(soon([&] { return track(0).fader_db < fader; }));
    expect_keys_live("a dragged fader");
    press("p");
    hand({"type", "--", "L 30"});
    press("Return");
    EXPECT_TRUE(soon([&] { return std::fabs(track(0).pan + 0.3) < 1e-9; })) << track(0).pan;
    expect_keys_live("a typed pan");
    for (const char* button : {"mute", "solo"}) {
        click(head(0)->findChild<QToolButton*>(button));
        click(head(0)->findChild<QToolButton*>(button));
        expect_keys_live(std::string("the button ") + button);
    }
    press("y");
    expect_keys_live("opening a page of Balance");
    press("y");
    press("ctrl+b");
    ASSERT_TRUE(soon([&] { return session().buses.size() == 1; }));
    expect_keys_live("a new bus");
    auto* bus = find("busBlock")->findChild<Lane*>();
    ASSERT_TRUE(soon([&] { return bus->width() > 600; }));
    click(bus, QPoint(400, 4));
    press("Return");
    hand({"type", "--", "-3"});
    press("Return");
    EXPECT_TRUE(soon([&] { return session().buses[0].fader_db == -3.0; }));
    press("m");
    EXPECT_TRUE(soon([&] { return session().buses[0].mute; })) << "M is the bus's";
    press("m");
    click(head(0), QPoint(60, 10));
    expect_keys_live("a bus");
    press("alt+4");
    ASSERT_TRUE(soon([&] {
        auto* add = window->findChild<QPushButton*>("chainAdd");
        return add && add->isVisible() && add->width() > 20;
    }));
    in_menu("chainAdd", [&](QMenu&) {
        press("Down");
        press("Return");
    });
    ASSERT_TRUE(soon([&] { return track(0).chain.size() == 1; }));
    settle();
    expect_keys_live("a processor from the menu");
    press("F7");
    EXPECT_TRUE(soon([&] { return !track(0).chain[0].in; }));
    press("F7");
    expect_keys_live("a processor out and in");
    if (auto* box = window->findChild<QAbstractSpinBox*>()) {
        click(box);
        press("Up");
        press("Return");
        expect_keys_live("a parameter's field");
    }
    click(find<QListWidget>("chainList"), QPoint(20, 10));
    expect_keys_live("the list of processors");
    press("alt+5");
    ASSERT_TRUE(soon([&] {
        auto* editor = window->findChild<RideEditor*>();
        return editor && editor->isVisible() && editor->width() > 600;
    }));
    click(window->findChild<RideEditor*>(), QPoint(300, 60));
    expect_keys_live("a click into the ride");
    press("alt+6");
    expect_keys_live("Compare");
    press("alt+7");
    settle();
    ASSERT_TRUE(soon([&] { return !work().materials.busy(); }));
    fs::create_directories(folder / "out");
    auto* file = find<QLineEdit>("exportFile");
    ASSERT_TRUE(soon([&] { return file->isVisible() && file->width() > 100; }));
    click(file);
    press("ctrl+a");
    hand({"type", "--", to_qt(folder / "out/mix.wav")});
    press("Return");
    EXPECT_FALSE(fs::exists(folder / "out/mix.wav")) << "Enter sets the name and no more";
    expect_keys_live("the name of the file");
    click(find<QPushButton>("export"));
    EXPECT_TRUE(soon([&] { return fs::exists(folder / "out/mix.wav") && !work().exports.busy(); }));
    expect_keys_live("an export");
    in_opened<QFileDialog>([&] { press("ctrl+s"); },
                           [&](QFileDialog& dialog) {
                               EXPECT_TRUE(soon([&] { return dialog.isActiveWindow(); }));
                               press("ctrl+a");
                               hand({"type", "--", to_qt(folder / "evening.isotonus")});
                               press("Return");
                           });
    EXPECT_TRUE(soon([&] { return fs::exists(folder / "evening.isotonus"); }));
    ASSERT_TRUE(soon([&] { return window->isActiveWindow(); })) << "after a dialog";
    expect_keys_live("saving");
}

TEST_F(Journey, every_dialog_opens_within_the_screen) {
    with_sections();
    const QRect screen = window->screen()->availableGeometry();
    with_each_dialog(*window, [&](QWidget& dialog) {
        EXPECT_TRUE(soon([&] { return screen.contains(dialog.frameGeometry()); }))
            << dialog.frameGeometry().width() << " x " << dialog.frameGeometry().height();
    });
    ASSERT_TRUE(soon([&] { return window->isActiveWindow(); }));
    expect_keys_live("every dialog");
}

// Dialogs that a key opens: worked in a little by the keyboard and left by Escape, they leave nothing behind.
TEST_F(Journey, every_dialog_that_a_key_opens_gives_the_keys_back) {
    with_sections();
    const std::string before = session_to_json(session(), folder.path());
    for (const char* keys : {"ctrl+t", "shift+t", "h", "ctrl+comma", "F1", "ctrl+shift+Down", "shift+n"}) {
        SCOPED_TRACE(keys);
        in_opened<QDialog>([&] { press(keys); },
                           [&](QDialog& dialog) {
                               EXPECT_TRUE(soon([&] { return dialog.isActiveWindow(); }));
                               for (const char* typed : {"m", "Tab", "Tab"}) press(typed);
                               press("Escape");
                           });
        ASSERT_TRUE(soon([&] { return window->isActiveWindow(); }));
        EXPECT_EQ(session_to_json(session(), folder.path()), before)
            << "what was typed into a dialog that is left changes nothing";
        expect_keys_live(keys);
    }
    // What stays open beside the window.  Space turns the pages of the guide, and Escape closes it.
    const auto opened_by = [&](const char* keys) {
        press(keys);
        EXPECT_TRUE(soon([&] { return !window->isActiveWindow() && QApplication::activeWindow(); })) << keys;
        return QPointer(QApplication::activeWindow());
    };
    const auto guide = opened_by("ctrl+F1");
    press("space");
    press("Escape");
    EXPECT_TRUE(soon([&] { return !guide || !guide->isVisible(); }));
    ASSERT_TRUE(soon([&] { return window->isActiveWindow(); }));
    EXPECT_FALSE(work().player.playing());
    expect_keys_live("the guide");
    EXPECT_EQ(opened_by("ctrl+F1"), guide) << "there is one guide, which is opened where it was left";
    press("Escape");
    ASSERT_TRUE(soon([&] { return window->isActiveWindow(); }));
    // The fader box stands in for a device on the desk: the window's keys live in it.
    const auto box = opened_by("shift+b");
    press("space");
    EXPECT_TRUE(soon([&] { return work().player.playing(); }));
    press("space");
    EXPECT_TRUE(soon([&] { return !work().player.playing(); }));
    box->close();
    ASSERT_TRUE(soon([&] { return window->isActiveWindow(); }));
    expect_keys_live("the fader box");
}

// In a low window the switches of monitoring fold; while they are shown, and after, the keys are the window's.
TEST_F(Journey, folded_monitoring_leaves_the_keys_alive) {
    with_sections();
    window->resize(1000, 560);
    auto* button = find<QToolButton>("monitoring");
    ASSERT_TRUE(soon([&] { return button->isVisible() && button->width() > 100; }));
    auto* dim = find<QToolButton>("monitorDim");
    EXPECT_FALSE(dim->isVisible());
    click(button);
    ASSERT_TRUE(soon([&] { return dim->isVisible(); }));
    expect_keys_live("showing the switches");
    click(dim);
    EXPECT_TRUE(soon([&] { return work().player.monitor().dim; }));
    expect_keys_live("a switch");
    press("d");
    EXPECT_TRUE(soon([&] { return !work().player.monitor().dim; }));
    click(button);
    EXPECT_TRUE(soon([&] { return !dim->isVisible(); }));
    expect_keys_live("hiding the switches");
}

// From files to a balance, drafted and from a rough mix; the list, the slider and the buttons give the keys back.
TEST_F(Journey, to_a_first_balance_leaves_the_keys_alive) {
    const MadeSong song(folder, 4, 9.0);
    const auto made = song.random_settings(2);
    const fs::path mix = write(folder / "rough mix.wav", song.mixed(made), 2);
    drop(song.files);
    settle();
    Session s = session();
    s.sections = {{"one", 0.0}, {"two", 2.0}};
    work().document.edit("Sections", s);
    work().document.select_only(track(0).id);
    press("alt+3");
    press("shift+y");
    ASSERT_TRUE(soon([&] {
        auto* draft = window->findChild<QPushButton*>("firstDraft");
        return draft && draft->isVisible() && draft->width() > 50;
    }));
    expect_keys_live("opening the first balance");
    click(find<QPushButton>("firstDraft"));
    ASSERT_TRUE(soon([&] { return !work().first.rows().empty(); }));
    expect_keys_live("a draft");
    auto* table = find<QTableWidget>("firstTable");
    settle();
    click(table->viewport(), table->visualItemRect(table->item(0, 0)).center());
    expect_keys_live("a click in the list");
    auto* share = find<QSlider>("firstShare");
    click(share, QPoint(share->width() / 2, share->height() / 2));
    EXPECT_TRUE(soon([&] { return work().first.share() < 1.0; }));
    expect_keys_live("moving the slider");
    click(find<QPushButton>("firstApplyOne"));
    EXPECT_TRUE(soon([&] { return track(0).fader_db != 0.0; }));
    expect_keys_live("applying it to one track");
    click(find<QPushButton>("firstDismiss"));
    EXPECT_TRUE(soon([&] { return work().first.rows().empty(); }));
    expect_keys_live("dismissing");
    // From a rough mix: two gestures and its name.
    const int before = gestures_;
    openings.expected = [&](QWidget&) {
        openings.expected = [&](QWidget& shown) {
            EXPECT_TRUE(soon([&] { return shown.isActiveWindow(); }));
            hand({"type", "--", QString::fromStdString(mix.string())});
            press("Return");
        };
        press("Down");
        press("Return");
    };
    click(find<QPushButton>("firstLike"));
    ASSERT_TRUE(soon([&] { return !work().first.rows().empty(); })) << work().first.trouble().toStdString();
    ASSERT_TRUE(soon([&] { return window->isActiveWindow(); }));
    settle();
    click(find<QPushButton>("firstApply"));
    EXPECT_TRUE(soon([&] { return std::fabs(track(0).fader_db - made[0].fader_db) < 0.05; }));
    std::printf("from a rough mix to its balance: %d gestures\n", gestures_ - before);
    expect_keys_live("applying all of it");
}

TEST_F(Journey, of_a_new_user_with_24_unknown_files_takes_less_than_40_gestures) {
    const std::vector<std::string> names{
        "01_KickIn", "02_KickOut", "03_Sub808", "04_SnrTop", "05_SnrBtm",   "06_clap2",    "07_HHclosed", "08_HHopen",
        "09_shkr",   "10_Perc1",   "11_Perc2",  "12_BassDI", "13_GtrRhy L", "14_GtrRhy R", "15_Keys",     "16_PadWide",
        "17_Arp",    "18_LeadSyn", "19_LdVox",  "20_VoxDbl", "21_BGV1",     "22_BGV2",     "23_FX riser", "24_vinyl"};
    const fs::path song = folder / "song";
    fs::create_directories(song);
    unsigned seed = 1;
    for (const std::string& name : names) {
        const bool hits = seed < 12;
        const double hz = 55.0 * std::pow(1.25, seed), every = 24000.0 * (1 + seed % 3);
        const Wave wave = [=, n = noise(seed, 0.2)](int64_t i, int c) {
            const double since = std::fmod(static_cast<double>(i), every) / 48000.0;
            const double tone = sine(hz, 48000, 0.3)(i, c) + n(i, c);
            return hits ? tone * std::exp(-since / 0.05) : 0.4 * tone * (0.6 + 0.4 * std::sin(since * 3.0));
        };
        const int channels = seed % 4 == 0 && seed < 13 ? 2 : 1;
        write(song / (name + ".wav"), make(48000 * 20, channels, wave), channels, 48000, SampleFormat::s24);
        ++seed;
    }
    in_opened<QFileDialog>([&] { press("ctrl+shift+i"); },
                           [&](QFileDialog& dialog) {
                               EXPECT_TRUE(soon([&] { return dialog.isActiveWindow(); }));
                               hand({"type", "--", to_qt(song)});
                               press("Return");
                               // Left and right of the guitar: one stereo track.
                               openings.expected = [&](QWidget& shown) {
                                   auto* question = dynamic_cast<QMessageBox*>(&shown);
                                   ASSERT_TRUE(question);
                                   EXPECT_TRUE(soon([&] { return question->isActiveWindow(); }));
                                   press("Return");
                               };
                           });
    ASSERT_TRUE(soon([&] { return session().tracks.size() == 23; })) << session().tracks.size();
    ASSERT_TRUE(soon([&] { return window->isActiveWindow(); }));
    settle();
    press("ctrl+g");
    EXPECT_TRUE(soon([&] { return track(0).trim_db != 0.0; }));
    press("alt+3");
    press("b");
    ASSERT_TRUE(soon([&] {
        auto* all = window->findChild<QPushButton*>("buildUpAll");
        return all && all->isVisible() && all->width() > 100;
    }));
    settle();
    click(find<QPushButton>("buildUpAll"));
    EXPECT_TRUE(soon([&] { return track(6).fader_db != 0.0; }));
    settle();
    const TargetSheet& sheet = session().targets;
    ASSERT_TRUE(work().mix.peak() && work().mix.peak()->dbfs);
    EXPECT_GE(*work().mix.peak()->dbfs, sheet.mains_low_dbfs);
    EXPECT_LE(*work().mix.peak()->dbfs, sheet.mains_high_dbfs);
    // A few by ear: the voice a little up, shakers and percussion to the sides.
    const auto row_of = [&](const char* name) {
        for (size_t n = 0; n < session().tracks.size(); ++n)
            if (track(n).name == name) return n;
        return size_t{0};
    };
    for (const auto& [name, pan] : {std::pair{"09_shkr", "L 35"}, {"10_Perc1", "R 30"}}) {
        auto* head = window->desk().head_of(track(row_of(name)).id);
        click(head, QPoint(60, 10));
        press("p");
        hand({"type", "--", pan});
        press("Return");
    }
    EXPECT_TRUE(soon([&] { return track(row_of("10_Perc1")).pan > 0.2; }));
    press("alt+7");
    settle();
    ASSERT_TRUE(soon([&] { return !work().materials.busy(); }));
    auto* file = find<QLineEdit>("exportFile");
    ASSERT_TRUE(soon([&] { return file->isVisible() && file->width() > 100; }));
    click(file);
    press("ctrl+a");
    fs::create_directories(folder / "out");
    hand({"type", "--", to_qt(folder / "out/evening.wav")});
    press("Return");
    auto* checks = find<QListWidget>("checks");
    for (int n = 0; n < checks->count(); ++n)
        EXPECT_FALSE(checks->item(n)->text().startsWith(QChar(0x2717))) << checks->item(n)->text().toStdString();
    click(find<QPushButton>("export"));
    EXPECT_TRUE(soon([&] { return fs::exists(folder / "out/evening.wav") && !work().exports.busy(); }));
    EXPECT_LT(gestures_, 40);
    RecordProperty("gestures", gestures_);
    std::cout << gestures_ << " gestures\n";
    press("space");
    EXPECT_TRUE(soon([&] { return work().player.playing(); })) << "Space plays after the whole way";
}

}  // namespace isotonus::test
