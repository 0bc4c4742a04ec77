// The actions of the main window: their names, keys and menu.
#include <QAction>
#include <QApplication>
#include <QMenu>
#include <QWhatsThis>

#include "app/balance/balance.h"
#include "app/balance/bus_block.h"
#include "app/ride/fader_box_window.h"
#include "app/songmap/tempo_window.h"
#include "app/stage/phase_dialog.h"
#include "app/stage/sheet_dialog.h"
#include "app/stage/stage_table.h"
#include "app/style/bring_up.h"
#include "app/style/text.h"
#include "app/window/fader_window.h"
#include "app/window/main_window.h"
#include "core/stage/staging.h"
#include "demosong/shaped.h"

namespace isotonus {

QAction* MainWindow::add(const char* name, const QString& text, const QKeySequence& keys, std::function<void()> work) {
    auto* action = new QAction(text, this);
    action->setObjectName(name);
    const auto all = commands();
    const auto known =
        std::find_if(all.begin(), all.end(), [name](const Command& c) { return c.action == std::string_view(name); });
    if (known != all.end()) action->setToolTip(command_help(*known));
    if (!keys.isEmpty()) {
        action->setShortcut(keys);
        keys_.push_back({keys.toString(QKeySequence::NativeText), QString(text).remove('&'),
                         known == all.end() ? Task::window : known->task});
    }
    connect(action, &QAction::triggered, this, std::move(work));
    addAction(action);
    return action;
}

void MainWindow::make_actions() {
    make_menu();
    make_song_actions();
    make_channel_actions();
    make_stage_actions();
    make_mix_actions();
    make_balance_actions();
    list_keys_of_lanes();
}

void MainWindow::make_menu() {
    main_menu_ = new QMenu(this);
    const auto item = [&](QAction* action) { main_menu_->addAction(action); };
    item(add("new", tr("New session"), QKeySequence::New, [this] { files_.start_new(); }));
    item(add("open", tr("Open…"), QKeySequence::Open, [this] { files_.open(); }));
    recent_menu_ = main_menu_->addMenu(tr("Open recent"));
    recent_menu_->menuAction()->setToolTip(tr("The sessions that were open last."));
    connect(recent_menu_, &QMenu::aboutToShow, this, &MainWindow::fill_recent);
    item(add("save", tr("Save"), QKeySequence::Save, [this] { files_.save(); }));
    item(add("saveAs", tr("Save as…"), QKeySequence("Ctrl+Shift+S"), [this] { files_.save_as(); }));
    main_menu_->addSeparator();
    item(add("importFiles", tr("Add audio files…"), QKeySequence("Ctrl+I"), [this] { files_.import_files(); }));
    item(add("importFolder", tr("Add a folder of audio…"), QKeySequence("Ctrl+Shift+I"),
             [this] { files_.import_folder(); }));
    item(add("sectionsIn", tr("Sections and tempo from a file…"), {}, [this] { files_.sections_in(); }));
    item(add("sectionsOut", tr("Sections and tempo to a MIDI file…"), {}, [this] { files_.sections_out(); }));
    item(add("tempo", tr("Tempo…"), {}, [this] { bring_up<TempoWindow>(this, work_); }));
    item(add("relink", tr("Find missing files…"), {}, [this] { files_.relink(); }));
    item(add("pack", tr("Save with all files…"), {}, [this] { files_.collect_into(); }));
    item(add("readAgain", tr("Read files again"), Qt::Key_F5, [this] { work_.materials.retry(); }));
    item(add("demo", tr("Open the demo"), {}, [this] { files_.open_demo(); }));
    item(add("shapeDemo", tr("Shape the demo"), {}, [this] {
        const Session next = with_demo_shaped(work_.document.session());
        if (next.tracks == work_.document.session().tracks)
            emit work_.view.hint(tr("The demo's tracks are missing, or have chains already. Open the demo first."));
        else
            work_.document.edit(tr("Shape the demo"), next);
    }));
    main_menu_->addSeparator();
    undo_action_ = add("undoAction", tr("Undo"), QKeySequence("Ctrl+Z"), [this] { work_.document.undo(); });
    redo_action_ = add("redoAction", tr("Redo"), QKeySequence("Ctrl+Shift+Z"), [this] { work_.document.redo(); });
    item(undo_action_);
    item(redo_action_);
    connect(undo_, &QToolButton::clicked, undo_action_, &QAction::trigger);
    connect(redo_, &QToolButton::clicked, redo_action_, &QAction::trigger);
    main_menu_->addSeparator();
    item(add("night", tr("Day or night theme"), QKeySequence("F8"), [this] { show_night(!theme().night); }));
    item(add("faderWindow", tr("Faders in a window of their own"), {}, [this] { bring_up<FaderWindow>(this, work_); }));
    QAction* spectrum = add("mainSpectrumShown", tr("Spectrum of the main output"), {}, [this] {
        mains_->show_spectrum(!mains_->shows_spectrum());
        settings_.set_main_spectrum(mains_->shows_spectrum());
    });
    spectrum->setCheckable(true);
    spectrum->setChecked(settings_.main_spectrum());
    item(spectrum);
    QMenu* size = main_menu_->addMenu(tr("Size of the interface"));
    size->menuAction()->setToolTip(tr("The whole window larger or smaller. Takes effect at the next start."));
    size->addAction(add("zoomIn", tr("Larger"), QKeySequence("Ctrl++"), [this] { zoom(1); }));
    size->addAction(add("zoomOut", tr("Smaller"), QKeySequence("Ctrl+-"), [this] { zoom(-1); }));
    item(add("settings", tr("Settings…"), QKeySequence("Ctrl+,"), [this] { show_settings(); }));
    item(add("keys", tr("Keys"), QKeySequence("F1"), [this] { show_keys(); }));
    item(add("explain", tr("Explain a control…"), QKeySequence("Ctrl+Shift+F1"),
             [] { QWhatsThis::enterWhatsThisMode(); }));
    item(add("guide", tr("Guide"), QKeySequence("Ctrl+F1"), [this] { show_guide(); }));
    item(add("quit", tr("Quit"), QKeySequence::Quit, [this] { close(); }));
    menu_->setMenu(main_menu_);
    add("menuAction", tr("Menu"), Qt::Key_F10, [this] { menu_->showMenu(); });
}

void MainWindow::make_song_actions() {
    add("play", tr("Play or stop"), Qt::Key_Space, [this] { work_.player.toggle_playing(); });
    add("stopReading", tr("Stop reading files"), Qt::Key_Escape, [this] { work_.materials.cancel(); });
    add("start", tr("Go to the start"), Qt::Key_Home, [this] { work_.player.locate(0.0); });
    add("loopAction", tr("Loop on or off"), Qt::Key_R, [this] { findChild<QToolButton*>("loop")->click(); });
    add("toPeak", tr("Go to just before the mix's peak"), Qt::Key_K, [this] {
        if (const auto& peak = work_.mix.peak()) work_.player.locate(std::max(0.0, peak->time_s - 1.0));
    });
    add("addSection", tr("New section at the playhead"), Qt::Key_N,
        [this] { work_.edits.add_section(work_.view.snap(work_.player.position_s())); });
    add("loopWidest", tr("Loop the most dynamic passage"), QKeySequence("Shift+R"),
        [this] { work_.audition.loop_passage(Audition::Passages::widest); });
    add("loopLoudest", tr("Loop the loudest passage"), QKeySequence("Ctrl+R"),
        [this] { work_.audition.loop_passage(Audition::Passages::loudest); });
    add("snap", tr("Snap to beats, if the song has a tempo"), Qt::Key_J, [this] {
        work_.view.snapping = !work_.view.snapping;
        emit work_.view.hint(work_.view.snapping ? tr("Edges snap to beats.") : tr("Edges move freely."));
    });
    for (int n = 1; n <= 9; ++n)
        add(("section" + std::to_string(n)).c_str(), tr("Section %1").arg(n), QKeySequence(QString::number(n)),
            [this, n] {
                const auto& sections = work_.document.session().sections;
                if (static_cast<size_t>(n) <= sections.size())
                    work_.player.locate(sections[static_cast<size_t>(n - 1)].start_s);
            });
    const auto go_on = [this](int by) {
        const auto& sections = work_.document.session().sections;
        const double now = work_.player.position_s();
        const int at = section_at(work_.document.session(), now);
        // Back goes to the start of this section first, as one expects of it while the song plays.
        constexpr double just_begun_s = 1.0;
        const bool to_its_start = by < 0 && at >= 0 && now - sections[static_cast<size_t>(at)].start_s > just_begun_s;
        const int to = to_its_start ? at : at + by;
        if (to < 0 || to >= static_cast<int>(sections.size())) return;
        const double start = sections[static_cast<size_t>(to)].start_s;
        Player::Loop loop = work_.player.loop();
        if (loop.on) {
            loop.from_s = start;
            loop.to_s = section_end_s(work_.document.session(), to, work_.view.time.song_s());
            work_.player.set_loop(loop);
        }
        work_.player.locate(start);
    };
    add("loopMore", tr("Extend the loop by the next section"), QKeySequence("Shift+PgDown"),
        [this] { work_.audition.loop_one_more(1); });
    add("loopEarlier", tr("Extend the loop by the previous section"), QKeySequence("Shift+PgUp"),
        [this] { work_.audition.loop_one_more(-1); });
    add("nextSection", tr("Next section; a loop follows"), Qt::Key_PageDown, [go_on] { go_on(1); });
    add("sectionBefore", tr("Start of the section, or previous section"), Qt::Key_PageUp, [go_on] { go_on(-1); });
    add("wholeSong", tr("Show the whole song"), Qt::Key_W,
        [this] { work_.view.time.show(0.0, work_.view.time.song_s()); });
}

void MainWindow::make_channel_actions() {
    add("rowsUp", tr("Move the selected tracks up"), QKeySequence("Alt+Up"), [this] { move_rows(-1); });
    add("rowsDown", tr("Move the selected tracks down"), QKeySequence("Alt+Down"), [this] { move_rows(1); });
    add("renameRow", tr("Rename the track"), Qt::Key_F2, [this] {
        const auto bus = bus_with_keys();
        for (BusHead* head : findChildren<BusHead*>())
            if (bus == head->id()) return head->rename();
        if (RowHead* head = desk_->head_of(work_.document.focused())) head->rename();
    });
    add("duplicateRows", tr("Duplicate the selected tracks"), QKeySequence("Ctrl+D"), [this] {
        work_.document.edit(tr("Duplicate tracks"),
                            with_duplicates(work_.document.session(), work_.document.selected()));
    });
    add("anchorRows", tr("Anchor: a track that the mix is built on"), Qt::Key_A,
        [this] { toggle_flag(&Track::anchor, tr("Anchor")); });
    add("foldFamily", tr("Fold the track's family; a click unfolds it"), Qt::Key_G, [this] {
        if (const Track* t = work_.document.track(work_.document.focused()))
            work_.view.toggle_fold(work_.materials.family(*t));
    });
    add("muteRows", tr("Mute the selected tracks"), Qt::Key_M, [this] { toggle_flag(&Track::mute, tr("Mute")); });
    add("soloRows", tr("Solo the selected tracks"), Qt::Key_S, [this] { toggle_flag(&Track::solo, tr("Solo")); });
    add("clearSolo", tr("All solos off"), QKeySequence("Shift+S"),
        [this] { work_.edits.all_off(Editing::Flag::solo); });
    add("clearMute", tr("All mutes off"), QKeySequence("Shift+M"),
        [this] { work_.edits.all_off(Editing::Flag::mute); });
    add("soloAlone", tr("Solo only the selected tracks"), QKeySequence("Ctrl+Alt+S"),
        [this] { work_.edits.solo_alone(work_.document.selected()); });
    add("soloSafe", tr("Solo safe: stays on while others are soloed"), QKeySequence("Alt+S"),
        [this] { toggle_flag(&Track::solo_safe, tr("Solo safe")); });
    add("selectAll", tr("Select all tracks"), QKeySequence("Ctrl+A"), [this] { work_.document.select_all(); });
    add("removeRows", tr("Remove the selected tracks"), QKeySequence("Ctrl+Delete"),
        [this] { work_.edits.remove_tracks(work_.document.selected()); });
}

void MainWindow::make_stage_actions() {
    add("checkPhase", tr("Phase and polarity of the selected tracks, or of microphones of one source"), Qt::Key_H,
        [this] { check_phase(); });
    add("clipPanel", tr("Gather: clips and findings of the track"), Qt::Key_E,
        [this] { work_.view.show_panel(!work_.view.panel_open); });
    add("splitClip", tr("Gather: split the clip at the playhead"), Qt::Key_X,
        [this] { work_.edits.split_clip(work_.document.focused()); });
    add("cutOutLoop", tr("Gather: cut out the marked stretch"), QKeySequence("Shift+X"),
        [this] { work_.edits.cut_out_loop(work_.document.focused()); });
    add("atRest", tr("Hear the song with all faders and pans at zero, and back"), Qt::Key_0,
        [this] { work_.player.hear_at_rest(work_.player.hearing() != Player::Hearing::at_rest); });
    add("sheet", tr("Target sheet…"), QKeySequence("Ctrl+T"), [this] { SheetDialog(work_, this).exec(); });
    add("stageTable", tr("Stage: table of levels before and after"), QKeySequence("Shift+T"),
        [this] { StageTable(work_, this).exec(); });
    add("ownWindow", tr("Target window of the selected tracks…"), {}, [this] { ask_own_window(); });
    add("tameSpikes", tr("Tame the spikes of the selected tracks"), {}, [this] {
        Session next = work_.document.session();
        for (const TrackId id : work_.document.selected())
            if (const MaterialPtr m = work_.materials.of(*work_.document.track(id)))
                next = with_track(next, id, [&](Track& t) { t = with_spikes_tamed(t, *m); });
        work_.document.edit(tr("Tame spikes"), std::move(next));
    });
    add("trimsTo0", tr("Stage: all trims to 0, except locked tracks"), QKeySequence("Ctrl+Alt+T"),
        [this] { work_.edits.all_trims_to_0(); });
    add("stageWithout", tr("Stage the selected tracks without the marked stretch; again: with the whole song"),
        QKeySequence("Ctrl+Shift+G"), [this] { stage_without_loop(); });
    add("stageAllAction", tr("Stage all"), QKeySequence("Ctrl+G"), [this] { work_.edits.stage_all(); });
}

void MainWindow::make_mix_actions() {
    add("processorIn", tr("Bypass the selected processor"), Qt::Key_F7,
        [this] { work_.edits.take_out_or_in(work_.view.shape.row(), work_.view.shape.position); });
    add("chainIn", tr("Bypass the chain of the track"), Qt::Key_F9,
        [this] { work_.edits.bypass_chain(work_.view.shape.row()); });
    add("chainsIn", tr("Bypass all chains"), QKeySequence("Ctrl+F7"), [this] { work_.edits.bypass_all_chains(); });
    for (int n = 0; n < tabs_->count(); ++n)
        add(("station" + std::to_string(n + 1)).c_str(), tr("Station %1").arg(n + 1),
            QKeySequence(QString("Alt+%1").arg(n + 1)), [this, n] { tabs_->choose(n); });
    add("othersDown", tr("All other faders down by…"), QKeySequence("Ctrl+Shift+Down"),
        [this] { work_.edits.ask_others_down(work_.document.selected()); });
    add("heardFigures", tr("Whole-song figures of the current monitoring: solos, or a bus alone"),
        QKeySequence("Ctrl+K"), [this] { work_.mix.measure_heard(); });
    connect(&work_.mix, &MixWatch::heard_measured, this, [this](const Measurement& m) {
        QString what = tr("The current monitoring");
        if (work_.document.session().any_solo())
            what = tr("The soloed tracks");
        else if (work_.player.hearing() == Player::Hearing::mix)
            what = tr("The mix");
        emit work_.view.told(tr("%1, whole song: peak %2 at %3, true peak %4, %5 (%6), loudness %7.")
                                 .arg(what, level_text(m.sample_peak_dbfs, "dBFS"), time_text(m.peak_time_s),
                                      level_text(m.true_peak_dbtp, "dBTP"), average_text(m.average_dbfs),
                                      average_label(), level_text(m.integrated_lufs, "LUFS")));
    });
    add("compare", tr("Compare: switch between the mix and the last print or reference"), Qt::Key_F6,
        [this] { work_.comparison.toggle(); });
    add("compareFromStart", tr("Compare: switch, from the start of the passage or section"),
        QKeySequence("Ctrl+Shift+F6"), [this] { work_.comparison.toggle(true); });
    add("noteHere", tr("Listening note at the playhead…"), QKeySequence("Shift+N"),
        [this] { work_.edits.add_note(work_.player.position_s()); });
    add("compareNext", tr("Compare: next print or reference"), QKeySequence("Ctrl+F6"),
        [this] { work_.comparison.next(); });
    add("faderBoxAction", tr("Simulated fader box"), QKeySequence("Shift+B"),
        [this] { bring_up<FaderBoxWindow>(this, work_); });
    add("writeRead", tr("Automation: read mode for all tracks"), QKeySequence("Shift+W"),
        [this] { work_.writing.set_mode_for_all(WriteMode::read); });
    add("writeTouch", tr("Automation: touch mode for all tracks"), QKeySequence("Ctrl+W"),
        [this] { work_.writing.set_mode_for_all(WriteMode::touch); });
    add("resetClips", tr("Reset all clip lights and peak holds"), Qt::Key_C, [this] { work_.player.reset_meters(); });
}

/// What channels do by themselves while they have the focus.
void MainWindow::list_keys_of_lanes() {
    const KeysDialog::Key by_lanes[] = {
        {tr("Up, Down"), tr("Track above, track below; with Shift the selection grows"), Task::rows},
        {tr("Left, Right"), tr("Value down or up by 1 dB; Shift 0.1 dB, Ctrl 3 dB"), Task::rows},
        {tr("Enter, + or −"), tr("Type the value; Enter sets it"), Task::rows},
        {tr("Backspace"), tr("Value back to 0 dB, like a double click"), Task::rows},
        {"F, L", tr("Stage: stage the selected tracks, lock them"), Task::stage},
        {", .", tr("Balance: pan left or right"), Task::balance},
        {"< >", tr("Balance: width (or the right channel)"), Task::balance},
        {tr("P, Shift+P"), tr("Balance: type the pan, the width"), Task::balance},
        {"F4", tr("Shape: suggestions for the chain of the track: low cut, compressor, sidechain ducking"),
         Task::shape},
        {tr("Insert, Delete, T, L"), tr("Automation: point at the playhead, delete points, their shape, lock them"),
         Task::ride},
        {", . < >", tr("Automation: compress and expand the values or times of the selected points"), Task::ride},
        {tr("Ctrl and drag"), tr("Automation: select points; in the strip above, mark another stretch"), Task::ride},
        {tr("Ctrl+C, Ctrl+V, Enter"), tr("Automation: copy a stretch, paste it at the playhead, type a point"),
         Task::ride},
        {"/", tr("Automation: bypass the ride that is shown"), Task::ride},
        {"[ ]", tr("Automation: previous point, next point; arrow keys move it"), Task::ride}};
    keys_.insert(keys_.end(), std::begin(by_lanes), std::end(by_lanes));
}

void MainWindow::make_balance_actions() {
    using Page = BalanceView::Page;
    constexpr int balance = 2;
    const auto to_balance = [this] {
        if (tabs_->current()->title() != BalanceStation().title()) tabs_->choose(balance);
    };
    const auto page = [this, to_balance](Page which) {
        to_balance();
        work_.view.balance.show_page(which);
    };
    add("pageHeadroomAction", tr("Balance: headroom plan"), Qt::Key_Y, [page] { page(Page::headroom); });
    add("pageBuildUpAction", tr("Balance: build-up"), Qt::Key_B, [page] { page(Page::build_up); });
    add("pageCoverAction", tr("Balance: masking, which tracks cover the selected one"), Qt::Key_U,
        [page] { page(Page::cover); });
    add("pageMonoAction", tr("Balance: loss in mono, track by track"), QKeySequence("Shift+O"),
        [page] { page(Page::mono); });
    add("pagePictureAction", tr("Balance: stereo picture"), Qt::Key_I, [page] { page(Page::picture); });
    add("pageFirstAction", tr("Balance: first balance, from a rough mix or from what can be heard"),
        QKeySequence("Shift+Y"), [page] { page(Page::first); });
    add("roughMix", tr("Balance: start from a rough mix…"), {}, [this, to_balance] {
        const auto file = work_.prompter->open_file(tr("Rough mix"), FileActions::audio_filter());
        if (!file) return;
        to_balance();
        if (work_.view.balance.page != Page::first) work_.view.balance.show_page(Page::first);
        work_.first.find_like(*file);
    });
    add("fieldAction", tr("Balance: field or lanes"), Qt::Key_V, [this, to_balance] {
        to_balance();
        work_.view.balance.show_field(!work_.view.balance.field_shown);
    });
    add("makeBus", tr("Bus of the selected tracks, or of the track's family"), QKeySequence("Ctrl+B"),
        [this] { work_.edits.make_bus(); });
    add("makeGroup", tr("Group of the selected tracks, or of the track's family"), QKeySequence("Ctrl+Shift+B"),
        [this] { work_.edits.make_group(); });
    add("mirrorPans", tr("Mirror the pans of the selected tracks, in pairs"), QKeySequence("Ctrl+M"),
        [this] { work_.edits.mirror_pans(); });
    add("spreadPans", tr("Spread the selected tracks evenly from left to right"), QKeySequence("Ctrl+Shift+M"),
        [this] { work_.edits.spread_pans(); });
    const auto monitor = [this](auto change) {
        MonitorSettings m = work_.player.monitor();
        change(m);
        work_.player.set_monitor(m);
    };
    add("dimAction", tr("Monitor: dim"), Qt::Key_D, [monitor] { monitor([](auto& m) { m.dim = !m.dim; }); });
    add("quietAction", tr("Monitor: quiet check"), Qt::Key_Q, [this, monitor] {
        monitor([](auto& m) { m.quiet = !m.quiet; });
        if (work_.player.monitor().quiet) work_.mix.want_audibility(true);  // what vanishes is shown, too
    });
    add("monoAction", tr("Monitor: mono"), Qt::Key_O,
        [monitor] { monitor([](auto& m) { m.sides = m.sides == Sides::mono ? Sides::stereo : Sides::mono; }); });
    add("monitorOff", tr("Monitor: reset to the unaltered mix"), QKeySequence("Shift+Q"),
        [this] { work_.hear_the_mix(); });
    const auto listen = [this](Player::Listen where) {
        const bool same =
            work_.player.listened() == work_.document.selected() && work_.player.listened_where() == where;
        work_.player.listen_to(same ? std::vector<TrackId>{} : work_.document.selected(), where);
    };
    add("listenBefore", tr("Hear the selected tracks before the fader, the rest dimmed"), Qt::Key_Z,
        [listen] { listen(Player::Listen::before_fader); });
    add("listenAfter", tr("Hear the selected tracks after the fader, the rest dimmed"), QKeySequence("Shift+Z"),
        [listen] { listen(Player::Listen::after_fader); });
    for (int n = 1; n <= 8; ++n)
        add(("hearUnder" + std::to_string(n)).c_str(), tr("Hear bus or group %1 alone, and back").arg(n),
            QKeySequence(QString("Shift+F%1").arg(n)), [this, n] {
                const Session& s = work_.document.session();
                const auto at = static_cast<size_t>(n - 1);
                if (at < s.buses.size())
                    work_.player.solo_bus(s.buses[at].id);
                else if (at - s.buses.size() < s.groups.size())
                    work_.player.solo_bus(s.groups[at - s.buses.size()].id);
            });
    for (int n = 1; n <= 4; ++n) {
        const auto at = static_cast<size_t>(n - 1);
        add(("keepSelection" + std::to_string(n)).c_str(), tr("Store the selected tracks as selection %1").arg(n),
            QKeySequence(QString("Ctrl+Alt+%1").arg(n)), [this, at] {
                Session next = work_.document.session();
                next.selections[at] = work_.document.selected();
                work_.document.edit(tr("Store the selection"), std::move(next));
            });
        add(("selection" + std::to_string(n)).c_str(), tr("Recall selection %1").arg(n),
            QKeySequence(QString("Ctrl+%1").arg(n)), [this, at] {
                std::vector<TrackId> ids;
                for (const TrackId id : work_.document.session().selections[at])
                    if (work_.document.track(id)) ids.push_back(id);
                if (!ids.empty()) work_.document.select(ids, ids.front());
            });
    }
}

void MainWindow::stage_without_loop() {
    const auto ids = work_.document.selected();
    const Track* first = ids.empty() ? nullptr : work_.document.track(ids.front());
    const Player::Loop& loop = work_.player.loop();
    if (!first) return;
    if (first->staged_without) return work_.edits.stage_without(ids, std::nullopt);
    if (loop.to_s - loop.from_s < 0.1)
        return emit work_.view.hint(tr("Mark a stretch first: Shift and drag on the song map."));
    work_.edits.stage_without(ids, LeftOut{loop.from_s, loop.to_s});
}

void MainWindow::ask_own_window() {
    const auto ids = work_.document.selected();
    const Track* first = ids.empty() ? nullptr : work_.document.track(ids.front());
    const Measurement* m = first ? work_.materials.measured(*first) : nullptr;
    if (!m) return;
    const Target now = target_of(work_.document.session().targets, *first, *m);
    const auto text = work_.prompter->ask_text(
        tr("Target window of these tracks"),
        tr("measure low high (peak, average, true_peak, short_term, vu); leave empty for the target sheet"),
        QString("%1 %2 %3").arg(measure_name(now.measure)).arg(now.low_dbfs).arg(now.high_dbfs));
    if (!text) return;
    Track trial = *first;
    QString key = text->trimmed();
    key = key.isEmpty() ? "auto" : key.replace(QChar(0x2212), '-').replace(',', '.').simplified().replace(' ', ':');
    if (const auto done = set_by_name(trial, "target", key.toStdString()); !done) {
        work_.prompter->complain(QString::fromStdString(done.error().what));
        return;
    }
    work_.document.edit_tracks(tr("Target window %1").arg(key), ids, [&](Track& t) { t.target = trial.target; });
}

void MainWindow::check_phase() { PhaseDialog(work_, work_.document.selected(), this).exec(); }

void MainWindow::move_rows(int by) {
    Session next = with_tracks_moved(work_.document.session(), work_.document.selected(), by);
    work_.document.edit(by < 0 ? tr("Move tracks up") : tr("Move tracks down"), std::move(next));
}

std::optional<TrackId> MainWindow::bus_with_keys() const {
    const auto* lane = qobject_cast<const Lane*>(QApplication::focusWidget());
    if (!lane || lane->id() == main_output || work_.document.track(lane->id())) return std::nullopt;
    return lane->id();
}

void MainWindow::toggle_flag(bool Track::*flag, const QString& name) {
    const auto bus = bus_with_keys();
    if (flag == &Track::mute) {
        const std::vector<TrackId> channels = bus ? std::vector{*bus} : work_.document.selected();
        if (!channels.empty()) work_.edits.set_mutes(channels, !work_.writing.is_muted_now(channels.front()));
        return;
    }
    if (bus && flag == &Track::solo) return work_.edits.toggle(Editing::Flag::solo, *bus);
    const auto& ids = work_.document.selected();
    if (ids.empty()) return;
    const bool on = !(work_.document.track(ids.front())->*flag);
    work_.document.edit_tracks(on ? name : tr("%1 off").arg(name), ids, [flag, on](Track& t) { t.*flag = on; });
}

}  // namespace isotonus
