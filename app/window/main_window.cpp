#include "app/window/main_window.h"

#include "app/stage/phase_dialog.h"

#include <QAction>
#include <QApplication>
#include <QCheckBox>
#include <QCloseEvent>
#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QMenu>
#include <QMimeData>
#include <QTableWidget>
#include <QVBoxLayout>

namespace isotonus {

MainWindow::MainWindow() : dialogs_(this), files_(work_, settings_) {
    setObjectName("window");
    set_night(settings_.night());
    set_plain_rms(settings_.plain_rms());
    work_.prompter = &dialogs_;
    setAcceptDrops(true);
    resize(1280, 800);
    setMinimumSize(1100, 640);

    tabs_ = new StationTabs(work_);
    desk_ = new Desk(work_);
    transport_ = new TransportBar(work_);
    auto* page = new QWidget;
    page->setObjectName("window");
    auto* column = new QVBoxLayout(page);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addWidget(make_header());
    column->addWidget(new SongMap(work_));
    auto* middle = new QHBoxLayout;
    middle->setSpacing(0);
    middle->addWidget(desk_, 1);
    middle->addWidget(new Mains(work_));
    column->addLayout(middle, 1);
    column->addWidget(transport_);
    setCentralWidget(page);
    make_actions();

    connect(tabs_, &StationTabs::chosen, desk_, &Desk::show_station);
    connect(desk_, &Desk::demo_wanted, &files_, &FileActions::open_demo);
    connect(desk_, &Desk::folder_wanted, &files_, &FileActions::import_folder);
    connect(transport_, &TransportBar::device_wanted, this, &MainWindow::use_device);
    connect(&work_.document, &Document::session_changed, this, &MainWindow::refresh_titles);
    connect(&work_.document, &Document::file_changed, this, &MainWindow::refresh_titles);
    desk_->show_station(tabs_->current());
    refresh_titles();

    // The device of last time; at the first start whatever there is.
    QString device = settings_.device();
    if (device.isEmpty()) device = QString::fromStdString(device_names().front());
    work_.player.open_device(device, settings_.block_frames());
}

MainWindow::~MainWindow() {
    // Views go before what they look at.
    delete takeCentralWidget();
}

QWidget* MainWindow::make_header() {
    auto* header = new QWidget;
    header->setFixedHeight(48);
    auto* layout = new QHBoxLayout(header);
    layout->setContentsMargins(16, 0, 12, 0);
    layout->setSpacing(4);
    name_ = new QLabel;
    name_->setObjectName("sessionName");
    name_->setStyleSheet("font-size: 16px;");
    name_->setFixedWidth(head_width - 20);
    layout->addWidget(name_);
    layout->addWidget(tabs_);
    layout->addStretch();
    const auto button = [&](const char* name) {
        auto* b = new QToolButton;
        b->setObjectName(name);
        b->setIconSize({20, 20});
        b->setFocusPolicy(Qt::NoFocus);
        layout->addWidget(b);
        return b;
    };
    undo_ = button("undo");
    redo_ = button("redo");
    menu_ = button("menu");
    menu_->setAccessibleName(tr("Menu"));
    menu_->setPopupMode(QToolButton::InstantPopup);
    return header;
}

QAction* MainWindow::add(const char* name, const QString& text, const QKeySequence& keys, std::function<void()> work) {
    auto* action = new QAction(text, this);
    action->setObjectName(name);
    if (!keys.isEmpty()) {
        action->setShortcut(keys);
        keys_.push_back({keys.toString(QKeySequence::NativeText), QString(text).remove('&')});
    }
    connect(action, &QAction::triggered, this, std::move(work));
    addAction(action);
    return action;
}

void MainWindow::make_actions() {
    main_menu_ = new QMenu(this);
    const auto item = [&](QAction* action) { main_menu_->addAction(action); };
    item(add("new", tr("New session"), QKeySequence::New, [this] { files_.start_new(); }));
    item(add("open", tr("Open…"), QKeySequence::Open, [this] { files_.open(); }));
    recent_menu_ = main_menu_->addMenu(tr("Open recent"));
    connect(recent_menu_, &QMenu::aboutToShow, this, &MainWindow::fill_recent);
    item(add("save", tr("Save"), QKeySequence::Save, [this] { files_.save(); }));
    item(add("saveAs", tr("Save as…"), QKeySequence("Ctrl+Shift+S"), [this] { files_.save_as(); }));
    main_menu_->addSeparator();
    item(add("importFiles", tr("Add audio files…"), QKeySequence("Ctrl+I"), [this] { files_.import_files(); }));
    item(add("importFolder", tr("Add a folder of audio…"), QKeySequence("Ctrl+Shift+I"),
             [this] { files_.import_folder(); }));
    item(add("relink", tr("Find missing files…"), {}, [this] { files_.relink(); }));
    item(add("readAgain", tr("Read files again"), Qt::Key_F5, [this] { work_.materials.retry(); }));
    item(add("demo", tr("Open the demo"), {}, [this] { files_.open_demo(); }));
    main_menu_->addSeparator();
    undo_action_ = add("undoAction", tr("Undo"), QKeySequence("Ctrl+Z"), [this] { work_.document.undo(); });
    redo_action_ = add("redoAction", tr("Redo"), QKeySequence("Ctrl+Shift+Z"), [this] { work_.document.redo(); });
    item(undo_action_);
    item(redo_action_);
    connect(undo_, &QToolButton::clicked, undo_action_, &QAction::trigger);
    connect(redo_, &QToolButton::clicked, redo_action_, &QAction::trigger);
    main_menu_->addSeparator();
    item(add("night", tr("Day or night"), QKeySequence("F8"), [this] { show_night(!theme().night); }));
    item(add("settings", tr("Settings…"), QKeySequence("Ctrl+,"), [this] { show_settings(); }));
    item(add("keys", tr("Keys"), QKeySequence("F1"), [this] { show_keys(); }));
    item(add("quit", tr("Quit"), QKeySequence::Quit, [this] { close(); }));
    menu_->setMenu(main_menu_);
    add("menuAction", tr("Menu"), Qt::Key_F10, [this] { menu_->showMenu(); });

    add("play", tr("Play or stop"), Qt::Key_Space, [this] { work_.player.toggle_playing(); });
    add("stopReading", tr("Stop reading files"), Qt::Key_Escape, [this] { work_.materials.cancel(); });
    add("start", tr("To the start"), Qt::Key_Home, [this] { work_.player.locate(0.0); });
    add("loopAction", tr("Loop on or off"), Qt::Key_R, [this] { findChild<QToolButton*>("loop")->click(); });
    add("toPeak", tr("To just before the mix's peak"), Qt::Key_K, [this] {
        if (const auto& peak = work_.mix.peak()) work_.player.locate(std::max(0.0, peak->time_s - 1.0));
    });
    add("addSection", tr("New section at the playhead"), Qt::Key_N,
        [this] { work_.add_section(work_.player.position_s()); });
    add("loopWidest", tr("Loop the widest passage"), QKeySequence("Shift+R"),
        [this] { work_.loop_passage(Workspace::Passages::widest); });
    add("loopLoudest", tr("Loop the loudest passage"), QKeySequence("Ctrl+R"),
        [this] { work_.loop_passage(Workspace::Passages::loudest); });
    add("checkPhase", tr("Check phase and polarity of the selected rows"), Qt::Key_H, [this] { check_phase(); });
    add("rowsUp", tr("Selected rows up"), QKeySequence("Alt+Up"), [this] { move_rows(-1); });
    add("rowsDown", tr("Selected rows down"), QKeySequence("Alt+Down"), [this] { move_rows(1); });
    add("renameRow", tr("Rename the row"), Qt::Key_F2, [this] {
        const Track* track = work_.document.track(work_.document.focused());
        if (!track) return;
        const TrackId id = track->id;
        const QString before = QString::fromStdString(track->name);
        if (const auto name = work_.prompter->ask_text(tr("Rename the row"), tr("Its name"), before))
            work_.document.edit_tracks(tr("Rename %1 to %2").arg(before, *name), {id},
                                       [&](Track& t) { t.name = name->toStdString(); });
    });
    for (int n = 0; n < tabs_->count(); ++n)
        add(("station" + std::to_string(n + 1)).c_str(), tr("Station %1").arg(n + 1),
            QKeySequence(QString("Alt+%1").arg(n + 1)), [this, n] { tabs_->choose(n); });
    for (int n = 1; n <= 9; ++n)
        add(("section" + std::to_string(n)).c_str(), tr("Section %1").arg(n), QKeySequence(QString::number(n)),
            [this, n] {
                const auto& sections = work_.document.session().sections;
                if (static_cast<size_t>(n) <= sections.size())
                    work_.player.locate(sections[static_cast<size_t>(n - 1)].start_s);
            });
    add("muteRows", tr("Mute the selected rows"), Qt::Key_M, [this] { toggle_flag(&Track::mute, tr("Mute")); });
    add("soloRows", tr("Solo the selected rows"), Qt::Key_S, [this] { toggle_flag(&Track::solo, tr("Solo")); });
    add("clearSolo", tr("All solos and mutes off"), QKeySequence("Shift+S"), [this] {
        Session next = work_.document.session();
        for (const auto& t : work_.document.session().tracks)
            if (t->mute || t->solo)
                next = with_track(next, t->id, [](Track& track) { track.mute = track.solo = false; });
        work_.document.edit(tr("All solos and mutes off"), std::move(next));
    });
    add("resetClips", tr("Reset all clip flags and holds"), Qt::Key_C, [this] { work_.player.reset_meters(); });
    add("stageAllAction", tr("Stage all"), QKeySequence("Ctrl+G"), [this] { work_.stage_all(); });
    add("selectAll", tr("Select all rows"), QKeySequence("Ctrl+A"), [this] { work_.document.select_all(); });
    add("wholeSong", tr("Show the whole song"), Qt::Key_W, [this] { work_.time.show(0.0, work_.time.song_s()); });
    add("removeRows", tr("Remove the selected rows"), QKeySequence("Ctrl+Delete"), [this] {
        work_.document.edit(tr("Remove tracks"), without_tracks(work_.document.session(), work_.document.selected()));
    });
    const std::pair<const char*, QString> by_lanes[] = {
        {"Up, Down", tr("Row above, row below; with Shift the selection grows")},
        {"Left, Right", tr("Value down or up by 1 dB; Shift 0.1 dB, Ctrl 3 dB")},
        {"Enter, + or −", tr("Type the value; Enter sets it")},
        {"Backspace", tr("Value back to 0 dB; so does a double click")},
        {"F, L", tr("Stage: stage these rows, lock them")},
        {", and .", tr("Balance: pan left or right; P types it")},
        {"Insert, Delete, T", tr("Ride: point at the playhead, take points away, step or line")},
        {"[ and ]", tr("Ride: the point before, the point after; arrows move it")}};
    for (const auto& [keys, what] : by_lanes) keys_.push_back({keys, what});
}

void MainWindow::check_phase() {
    if (work_.document.selected().size() < 2) {
        emit work_.hint(tr(
            "Select the rows that were recorded from one source, two at least; the first selected is the reference."));
        return;
    }
    PhaseDialog(work_, work_.document.selected(), this).exec();
}

void MainWindow::move_rows(int by) {
    Session next = with_tracks_moved(work_.document.session(), work_.document.selected(), by);
    work_.document.edit(by < 0 ? tr("Rows up") : tr("Rows down"), std::move(next));
}

void MainWindow::toggle_flag(bool Track::*flag, const QString& name) {
    const auto& ids = work_.document.selected();
    if (ids.empty()) return;
    const bool on = !(work_.document.track(ids.front())->*flag);
    work_.document.edit_tracks(on ? name : tr("%1 off").arg(name), ids, [flag, on](Track& t) { t.*flag = on; });
}

void MainWindow::fill_recent() {
    recent_menu_->clear();
    for (const QString& path : settings_.recent()) {
        QAction* action = recent_menu_->addAction(path);
        connect(action, &QAction::triggered, this, [this, path] { files_.open_path(from_qt(path)); });
    }
    if (recent_menu_->isEmpty()) recent_menu_->addAction(tr("nothing yet"))->setEnabled(false);
}

void MainWindow::refresh_titles() {
    const Document& d = work_.document;
    const QString name = d.name() + (d.is_saved() ? "" : " *");
    name_->setText(QFontMetrics(lettering(16)).elidedText(name, Qt::ElideRight, name_->width()));
    name_->setToolTip(d.path() ? to_qt(*d.path()) : tr("not saved yet"));
    setWindowTitle(name + " – Isotonus");
    undo_action_->setEnabled(d.can_undo());
    redo_action_->setEnabled(d.can_redo());
    undo_action_->setText(d.can_undo() ? tr("Undo: %1").arg(d.undo_name()) : tr("Undo"));
    redo_action_->setText(d.can_redo() ? tr("Redo: %1").arg(d.redo_name()) : tr("Redo"));
    undo_->setEnabled(d.can_undo());
    redo_->setEnabled(d.can_redo());
    for (const auto& [button, action] : {std::pair{undo_, undo_action_}, std::pair{redo_, redo_action_}}) {
        button->setToolTip(action->text());
        button->setAccessibleName(action->text());
    }
    undo_->setIcon(icon("undo"));
    redo_->setIcon(icon("redo"));
    menu_->setIcon(icon("menu"));
}

void MainWindow::show_night(bool on) {
    settings_.set_night(on);
    set_night(on);
    transport_->refresh_icons();
    refresh_titles();
    emit work_.document.session_changed();
}

void MainWindow::use_device(const QString& name) {
    settings_.set_device(name);
    work_.player.open_device(name, settings_.block_frames());
}

void MainWindow::show_keys() {
    QDialog dialog(this);
    dialog.setObjectName("keysDialog");
    dialog.setWindowTitle(tr("Keys"));
    dialog.resize(640, 620);
    auto* table = new QTableWidget(static_cast<int>(keys_.size()), 2, &dialog);
    table->setHorizontalHeaderLabels({tr("Key"), tr("What it does")});
    table->horizontalHeader()->setStretchLastSection(true);
    table->verticalHeader()->hide();
    table->setShowGrid(false);
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    for (int n = 0; n < table->rowCount(); ++n) {
        table->setItem(n, 0, new QTableWidgetItem(keys_[static_cast<size_t>(n)].keys));
        table->setItem(n, 1, new QTableWidgetItem(keys_[static_cast<size_t>(n)].what));
    }
    table->resizeColumnToContents(0);
    auto* layout = new QVBoxLayout(&dialog);
    layout->addWidget(table);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Close);
    connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    layout->addWidget(buttons);
    dialog.exec();
}

void MainWindow::show_settings() {
    QDialog dialog(this);
    dialog.setObjectName("settingsDialog");
    dialog.setWindowTitle(tr("Settings"));
    auto* form = new QFormLayout(&dialog);
    auto* device = new QComboBox;
    device->setObjectName("settingsDevice");
    for (const std::string& name : device_names()) device->addItem(QString::fromStdString(name));
    device->setCurrentText(work_.player.device_name());
    form->addRow(tr("Sound device"), device);
    auto* block = new QComboBox;
    block->setObjectName("settingsBlock");
    for (const int frames : {64, 128, 256, 512, 1024, 2048}) block->addItem(tr("%1 frames").arg(frames), frames);
    block->setCurrentIndex(std::max(0, block->findData(settings_.block_frames())));
    block->setToolTip(tr("Short blocks answer faster; long ones are safer on a busy machine."));
    form->addRow(tr("Block"), block);
    auto* rms = new QComboBox;
    rms->setObjectName("settingsRms");
    rms->addItem(tr("AES17: a full-scale sine reads 0 dBFS"), false);
    rms->addItem(tr("plain RMS: a full-scale sine reads −3.0 dBFS"), true);
    rms->setCurrentIndex(settings_.plain_rms() ? 1 : 0);
    form->addRow(tr("Averages"), rms);
    auto* night = new QCheckBox(tr("night colours"));
    night->setChecked(theme().night);
    form->addRow(QString(), night);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    form->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, &dialog, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, &dialog, &QDialog::reject);
    if (dialog.exec() != QDialog::Accepted) return;
    settings_.set_block_frames(block->currentData().toInt());
    settings_.set_plain_rms(rms->currentData().toBool());
    set_plain_rms(settings_.plain_rms());
    use_device(device->currentText());
    show_night(night->isChecked());
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls()) event->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* event) {
    std::vector<fs::path> paths;
    for (const QUrl& url : event->mimeData()->urls())
        if (url.isLocalFile()) paths.push_back(from_qt(url.toLocalFile()));
    event->acceptProposedAction();
    files_.take_in(paths);
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (!files_.may_leave()) {
        event->ignore();
        return;
    }
    work_.player.stop();
    work_.document.start_new();  // nothing is left to recover
    event->accept();
}

}  // namespace isotonus
