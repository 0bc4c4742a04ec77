// The one window: puts the views together, and binds actions to keys.
#pragma once

#include <QLabel>
#include <QMainWindow>
#include <QToolButton>

#include "app/desk/desk.h"
#include "app/mains/mains.h"
#include "app/songmap/song_map.h"
#include "app/transport/transport_bar.h"
#include "app/window/file_actions.h"
#include "app/window/keys_dialog.h"
#include "app/window/station_tabs.h"

namespace isotonus {

class GuideWindow;

class MainWindow : public QMainWindow {
    Q_OBJECT
  public:
    MainWindow();
    ~MainWindow() override;

    Workspace& work() { return work_; }
    FileActions& files() { return files_; }
    /// Brings what is kept in the cache down to its limit, behind the window.
    void tidy();
    Desk& desk() { return *desk_; }
    StationTabs& stations() { return *tabs_; }
    /// Tests answer questions themselves.
    void set_prompter(Prompter* prompter) { work_.prompter = prompter; }
    void show_night(bool on);

    /// All keys, as F1 lists them.
    const std::vector<KeysDialog::Key>& keys() const { return keys_; }

  protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void closeEvent(QCloseEvent* event) override;

  private:
    QWidget* make_header();
    void make_actions();
    void make_menu();
    void make_song_actions();
    void make_channel_actions();
    void make_stage_actions();
    void make_mix_actions();
    void make_balance_actions();
    void list_keys_of_lanes();
    void take_monitor_levels();
    QAction* add(const char* name, const QString& text, const QKeySequence& keys, std::function<void()> work);
    void fill_recent();
    void refresh_titles();
    GuideWindow* show_guide();
    void show_keys();
    void show_settings();
    void check_phase();
    /// The marked stretch is what staging leaves aside; rows that leave one aside already take all of the song.
    void stage_without_loop();
    void ask_own_window();
    void move_rows(int by);
    /// What was folded and sized in the window stays so.
    void fit_to_screen();
    void remember_layout();
    void zoom(int steps);
    void toggle_flag(bool Track::*flag, const QString& name);
    /// The bus or control group whose lane has the keyboard focus.
    std::optional<TrackId> bus_with_keys() const;
    void use_device(const QString& name);

    Settings settings_;
    Workspace work_;
    DialogPrompter dialogs_;
    FileActions files_;
    StationTabs* tabs_;
    Desk* desk_;
    Mains* mains_;
    TransportBar* transport_;
    QLabel* name_;
    QToolButton *undo_, *redo_, *menu_;
    QMenu *main_menu_, *recent_menu_;
    QAction *undo_action_, *redo_action_;
    std::vector<KeysDialog::Key> keys_;
    Background jobs_;
};

}  // namespace isotonus
