#include "app/window/main_window.h"

#include "app/style/bring_up.h"
#include "app/style/language.h"
#include "app/style/theme.h"
#include "app/window/explain.h"
#include "app/window/guide_window.h"
#include "app/window/keys_back.h"
#include "app/window/settings_dialog.h"

#include <QAction>
#include <QApplication>
#include <QCloseEvent>
#include <QDialog>
#include <QHBoxLayout>
#include <QMenu>
#include <QMimeData>
#include <QVBoxLayout>

namespace isotonus {

MainWindow::MainWindow() : dialogs_(this), files_(work_, settings_) {
    setObjectName("window");
    set_night(settings_.night());
    set_plain_rms(settings_.plain_rms());
    set_row_height(settings_.row_height());
    take_monitor_levels();
    work_.prompter = &dialogs_;
    setAcceptDrops(true);
    setMinimumSize(960, 520);  // on a screen of 1024 x 600 the desktop has its own lines
    fit_to_screen();

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
    mains_ = new Mains(work_);
    mains_->show_spectrum(settings_.main_spectrum());
    middle->addWidget(mains_);
    column->addLayout(middle, 1);
    column->addWidget(transport_);
    setCentralWidget(page);
    page->setFocus();  // no button has the keyboard before somebody goes there
    make_actions();
    // Whatever the folder, terms are linked only where there is a page for them.
    auto* explainer = new Explainer(glossary_terms(guide_folder().value_or(fs::path())), this);
    connect(explainer, &Explainer::glossary_wanted, this, [this](const QString& term) {
        if (GuideWindow* guide = show_guide()) guide->show_page("glossary", term);
    });

    connect(tabs_, &StationTabs::chosen, desk_, &Desk::show_station);
    connect(tabs_, &StationTabs::chosen, this, [this] { emit work_.view.hint({}); });  // of the station before
    connect(&work_.view, &ViewState::station_wanted, tabs_, &StationTabs::choose);
    connect(&work_.comparison, &Comparison::trouble, &work_.view, &ViewState::hint);
    connect(desk_, &Desk::demo_wanted, &files_, &FileActions::open_demo);
    connect(desk_, &Desk::folder_wanted, &files_, &FileActions::import_folder);
    connect(transport_, &TransportBar::device_wanted, this, &MainWindow::use_device);
    connect(&work_.document, &Document::session_changed, this, &MainWindow::refresh_titles);
    // Whoever comes back may have changed files meanwhile.
    connect(qApp, &QGuiApplication::applicationStateChanged, this, [this](Qt::ApplicationState state) {
        if (state == Qt::ApplicationActive) work_.materials.look_for_changed_files();
    });
    connect(&work_.document, &Document::refused, this,
            [this](const QString& sentence) { work_.prompter->complain(sentence); });
    connect(&work_.document, &Document::file_changed, this, &MainWindow::refresh_titles);
    new KeysBack(*this, [this] { desk_->take_keys(); });
    remember_layout();
    desk_->show_station(tabs_->current());
    refresh_titles();

    work_.player.open_device(settings_.device(), settings_.block_frames());
}

/// As it was left; the first time 1280 x 800, or all that a smaller screen has.  A place on a screen that is gone is
/// not taken.
void MainWindow::fit_to_screen() {
    if (restoreGeometry(settings_.geometry())) return;
    constexpr QSize wanted(1280, 800);
    resize(wanted);
    if (on_screen(wanted, *this) != wanted) setWindowState(Qt::WindowMaximized);
}

void MainWindow::remember_layout() {
    using Pinned = ViewState::Pinned;
    constexpr Pinned kinds[] = {Pinned::buses, Pinned::returns, Pinned::groups, Pinned::main};
    const QVariantList folded = settings_.folded();
    for (const Pinned kind : kinds) work_.view.fold(kind, folded.contains(static_cast<int>(kind)));
    const QVariantMap heights = settings_.panel_heights();
    for (auto at = heights.begin(); at != heights.end(); ++at) work_.view.panel_heights[at.key()] = at.value().toInt();
    connect(&work_.view, &ViewState::pinned_changed, this, [this, kinds] {
        QVariantList now;
        for (const Pinned kind : kinds)
            if (work_.view.folded(kind)) now << static_cast<int>(kind);
        settings_.set_folded(now);
    });
    if (const QString file = settings_.correction(); !file.isEmpty())
        if (const auto done = mains_->use_correction(from_qt(file)); !done)
            emit work_.view.told(QString::fromStdString(done.error().text()));
    connect(&work_.view, &ViewState::correction_chosen, this,
            [this](const QString& file) { settings_.set_correction(file); });
    work_.view.keeps_prints = settings_.keeps_prints();
    connect(&work_.view, &ViewState::prints_kept, this, [this](bool on) { settings_.set_keeps_prints(on); });
    connect(&work_.view, &ViewState::panel_sized, this, [this] {
        QVariantMap now;
        for (const auto& [panel, pixels] : work_.view.panel_heights) now[panel] = pixels;
        settings_.set_panel_heights(now);
    });
}

MainWindow::~MainWindow() {
    // Views go before what they look at.
    for (auto* child : findChildren<QWidget*>(Qt::FindDirectChildrenOnly))
        if (child->isWindow()) delete child;
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
        b->setFocusPolicy(Qt::TabFocus);
        layout->addWidget(b);
        return b;
    };
    undo_ = button("undo");
    redo_ = button("redo");
    menu_ = button("menu");
    menu_->setAccessibleName(tr("Menu"));
    menu_->setToolTip(tr("Files, settings, keys and the guide. (F10)"));
    menu_->setPopupMode(QToolButton::InstantPopup);
    return header;
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
    name_->setToolTip(d.path() ? to_qt(*d.path()) : tr("unsaved"));
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

/// The toolkit draws at one scale from its start to its end.
void MainWindow::zoom(int steps) {
    const int now = settings_.zoom();
    int next = now;
    for (const int percent : Settings::zooms) {
        if (steps > 0 && percent > now && next == now) next = percent;
        if (steps < 0 && percent < now) next = percent;
    }
    settings_.set_zoom(next);
    emit work_.view.told(tr("The whole interface is drawn at %1 % from the next start on.").arg(next));
}

void MainWindow::show_keys() {
    // This station's first.
    constexpr Task of_station[] = {Task::gather, Task::stage,   Task::balance, Task::shape,
                                   Task::ride,   Task::compare, Task::files};
    KeysDialog dialog(keys_, this, of_station[static_cast<size_t>(tabs_->index())]);
    connect(&dialog, &KeysDialog::guide_wanted, this, &MainWindow::show_guide, Qt::QueuedConnection);
    dialog.exec();
}

GuideWindow* MainWindow::show_guide() {
    const auto folder = guide_folder();
    if (!folder) {
        work_.prompter->complain(
            tr("The pages of the guide are missing beside the program. Install the package again, or read docs/guide "
               "in the source."));
        return nullptr;
    }
    return bring_up<GuideWindow>(this, *folder);
}

void MainWindow::take_monitor_levels() {
    MonitorSettings m = work_.player.monitor();
    m.dim_db = settings_.dim_db();
    m.quiet_db = settings_.quiet_db();
    m.rest_db = settings_.rest_db();
    work_.player.set_monitor(m);
    work_.player.set_rest_dimmed(settings_.rest_dimmed());
    work_.mix.set_listening({settings_.listening_db_spl(), settings_.quiet_db()});
}

void MainWindow::show_settings() {
    SettingsDialog dialog(settings_, work_, this);
    if (dialog.exec() != QDialog::Accepted) return;
    dialog.store();
    tidy();
    set_plain_rms(settings_.plain_rms());
    set_row_height(settings_.row_height());
    take_monitor_levels();
    desk_->show_station(tabs_->current());
    if (dialog.device() != work_.player.wanted_device() || settings_.block_frames() != work_.player.block_frames())
        use_device(dialog.device());
    show_night(dialog.night());
}

void MainWindow::dragEnterEvent(QDragEnterEvent* event) {
    if (event->mimeData()->hasUrls()) event->acceptProposedAction();
}

void MainWindow::dropEvent(QDropEvent* event) {
    std::vector<fs::path> paths;
    for (const QUrl& url : event->mimeData()->urls())
        if (url.isLocalFile()) paths.push_back(from_qt(url));
    event->acceptProposedAction();
    // One file on the page of the first balance is a rough mix.
    const QWidget* under = childAt(event->position().toPoint());
    while (under && under->objectName() != "balancePanel") under = under->parentWidget();
    const bool first = under && work_.view.balance.page == BalanceView::Page::first;
    if (first && paths.size() == 1 && fs::is_regular_file(paths[0]) && paths[0].extension() != ".isotonus")
        return work_.first.find_like(paths[0]);
    files_.take_in(paths);
}

void MainWindow::closeEvent(QCloseEvent* event) {
    if (work_.exports.busy() &&
        work_.prompter->ask(tr("An export is running"),
                            tr("The export is not finished. Quit, and write none of its files?"), tr("Quit"),
                            {}) != Prompter::Answer::yes) {
        event->ignore();
        return;
    }
    if (!files_.may_leave()) {
        event->ignore();
        return;
    }
    settings_.set_geometry(saveGeometry());
    work_.exports.cancel();
    work_.player.stop();
    work_.document.start_new();  // nothing is left to recover
    event->accept();
}

void MainWindow::tidy() {
    jobs_.start([gib = settings_.cache_gib()](
                    Progress&) -> Result<void> { return tidy_cache(uintmax_t(gib) << 30), Result<void>(); },
                [](const Result<void>&) {});
}

}  // namespace isotonus
