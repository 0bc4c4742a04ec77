// New, open, save, import, the demo, recovery: everything that asks about files.
#pragma once

#include <QObject>

#include "app/desk/background.h"
#include "app/desk/workspace.h"
#include "app/window/settings.h"

#include <map>

class QProgressDialog;

namespace isotonus {

class FileActions : public QObject {
    Q_OBJECT
  public:
    /// What can be read, for a dialog that asks for files.
    static QString audio_filter();
    FileActions(Workspace& work, Settings& settings, QObject* parent = nullptr);

    void start_new();
    void open();
    bool open_path(const fs::path& path);  ///< a session or a folder of audio
    bool save();
    bool save_as();
    void import_files();
    void import_folder();
    /// What was dropped: audio files and folders are added, a session is opened.
    void take_in(const std::vector<fs::path>& paths);
    void open_demo();
    void relink();
    /// The session and all that it needs into one folder.
    void collect_into();
    /// Sections and tempo from a MIDI file or from cue points; to a MIDI file.
    void sections_in();
    void sections_out();
    /// Asks whether unsaved work may go; false: stay.
    bool may_leave();
    /// Offers what a crash left behind.
    /// Brings back what a crash left behind, if the user wants it; whether something was brought back.
    bool offer_recovery();

  private:
    QProgressDialog* progress_dialog(const QString& text, const std::shared_ptr<Progress>& progress);
    void take_in_file();
    void offer_changed_file();
    bool open_session(const fs::path& file);
    void add_files(const std::vector<fs::path>& files, std::vector<Error> problems);
    /// Pairs joined and many channels split, as the user answers.
    Session with_channels_as_wished(Session next, const std::map<fs::path, int>& channels);
    void complain(const Error& error);
    void complain_of(const std::vector<Error>& problems);  ///< all of them at once

    Workspace& work_;
    Settings& settings_;
    Background jobs_;
};

}  // namespace isotonus
