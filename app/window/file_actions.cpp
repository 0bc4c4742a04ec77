#include "app/window/file_actions.h"

#include <QPointer>
#include <QProgressDialog>
#include <map>

#include "core/audio/sound_file.h"
#include "demosong/song.h"

namespace isotonus {

namespace {

QString session_filter() { return FileActions::tr("Isotonus session (*.isotonus)"); }
QString audio_filter() {
    return FileActions::tr(
        "Audio (*.wav *.rf64 *.w64 *.aif *.aiff *.flac *.ogg *.opus *.mp3 *.caf *.au);;All files (*)");
}

}  // namespace

FileActions::FileActions(Workspace& work, Settings& settings, QObject* parent)
    : QObject(parent), work_(work), settings_(settings) {}

void FileActions::complain(const Error& error) { work_.prompter->complain(QString::fromStdString(error.text())); }

void FileActions::complain_of(const std::vector<Error>& problems) {
    if (problems.empty()) return;
    QStringList lines;
    for (const Error& p : problems) lines << QString::fromStdString(p.text());
    work_.prompter->complain(tr("Not everything could be added:") + '\n' + lines.join('\n'));
}

bool FileActions::may_leave() {
    if (work_.document.is_saved()) return true;
    switch (work_.prompter->ask(tr("Unsaved changes"),
                                tr("%1 has changes that are not saved.").arg(work_.document.name()), tr("Save"),
                                tr("Do not save"))) {
        case Prompter::Answer::yes:
            return save();
        case Prompter::Answer::no:
            return true;
        case Prompter::Answer::cancel:
            break;
    }
    return false;
}

void FileActions::start_new() {
    if (!may_leave()) return;
    work_.player.stop();
    work_.document.start_new();
}

void FileActions::open() {
    if (const auto file = work_.prompter->open_file(tr("Open a session"), session_filter())) open_path(*file);
}

bool FileActions::open_session(const fs::path& file) {
    work_.player.stop();
    if (auto opened = work_.document.open(file); !opened) {
        complain(opened.error());
        return false;
    }
    settings_.add_recent(to_qt(fs::absolute(file)));
    work_.player.locate(0.0);
    return true;
}

bool FileActions::open_path(const fs::path& path) {
    if (!may_leave()) return false;
    if (!fs::is_directory(path)) return open_session(path);
    std::vector<Error> problems;
    auto session = session_from_folder(path, &problems);
    if (!session) {
        complain(session.error());
        return false;
    }
    work_.player.stop();
    work_.document.adopt(std::move(*session), std::nullopt, false);
    complain_of(problems);
    return true;
}

bool FileActions::save() {
    if (!work_.document.path()) return save_as();
    if (auto saved = work_.document.save(*work_.document.path()); !saved) {
        complain(saved.error());
        return false;
    }
    return true;
}

bool FileActions::save_as() {
    const auto& tracks = work_.document.session().tracks;
    const fs::path folder = work_.document.path() ? work_.document.path()->parent_path()
                            : tracks.empty()      ? fs::current_path()
                                                  : tracks.front()->file.parent_path();
    auto file = work_.prompter->save_file(tr("Save the session as"), session_filter(),
                                          folder / (work_.document.name().toStdString() + ".isotonus"));
    if (!file) return false;
    if (file->extension() != ".isotonus") *file += ".isotonus";
    if (auto saved = work_.document.save(*file); !saved) {
        complain(saved.error());
        return false;
    }
    settings_.add_recent(to_qt(*file));
    return true;
}

void FileActions::import_files() { add_files(work_.prompter->open_files(tr("Add audio files"), audio_filter()), {}); }

void FileActions::import_folder() {
    if (const auto folder = work_.prompter->choose_folder(tr("Add a folder of audio files"))) take_in({*folder});
}

void FileActions::take_in(const std::vector<fs::path>& paths) {
    std::vector<fs::path> files;
    std::vector<Error> problems;
    for (const fs::path& path : paths) {
        if (fs::is_directory(path)) {
            const auto found = audio_files_in(path);
            if (!found)
                problems.push_back(found.error());
            else if (found->empty())
                problems.push_back({path.string(), tr("no audio files in this folder").toStdString()});
            else
                files.insert(files.end(), found->begin(), found->end());
        } else if (path.extension() == ".isotonus") {
            open_path(path);
            return;
        } else {
            files.push_back(path);
        }
    }
    add_files(files, std::move(problems));
}

void FileActions::add_files(const std::vector<fs::path>& files, std::vector<Error> problems) {
    std::vector<fs::path> readable;
    std::map<int, int> rates;
    for (const fs::path& file : files) {
        const auto reader = SoundReader::open(file);
        if (reader) {
            readable.push_back(file);
            ++rates[reader->info().sample_rate];
        } else {
            problems.push_back(reader.error());
        }
    }
    if (!readable.empty()) {
        Session next = work_.document.session();
        if (next.tracks.empty()) {  // an empty session takes the rate that most of its first files have
            int most = 0;
            for (const auto& [rate, count] : rates)
                if (count >= most) most = count, next.sample_rate = rate;
        }
        work_.document.edit(tr("Add %n track(s)", nullptr, static_cast<int>(readable.size())),
                            with_files(next, readable));
    }
    complain_of(problems);
}

void FileActions::open_demo() {
    if (!may_leave()) return;
    auto progress = std::make_shared<Progress>();
    QPointer<QProgressDialog> dialog = new QProgressDialog(
        tr("The festival is tuning up: the demo's music is being synthesised…"), tr("Cancel"), 0, 1000);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowModality(Qt::ApplicationModal);
    dialog->setMinimumDuration(300);
    auto* timer = new QTimer(dialog);
    connect(timer, &QTimer::timeout, dialog,
            [dialog, progress] { dialog->setValue(static_cast<int>(progress->fraction() * 999.0)); });
    timer->start(50);
    connect(dialog, &QProgressDialog::canceled, this, [progress] { progress->cancel(); });
    pool_.start([this, dialog, progress] {
        auto file = demo_in_cache(progress.get());
        QMetaObject::invokeMethod(this, [this, dialog, progress, file] {
            if (dialog) dialog->close();
            const auto session = file ? read_session(*file) : tl::unexpected(file.error());
            if (!session) {
                if (!progress->cancelled()) complain(session.error());
                return;
            }
            // A copy without a file of its own: saving asks where, and the demo stays as it is.
            work_.player.stop();
            work_.document.adopt(*session, std::nullopt, true, tr("The paper-boat festival"));
            work_.player.locate(0.0);
        });
    });
}

void FileActions::relink() {
    const auto folder = work_.prompter->choose_folder(tr("Look for missing files in"));
    if (!folder) return;
    Session next = work_.document.session();
    int found = 0;
    for (const auto& track : work_.document.session().tracks) {
        const fs::path there = *folder / track->file.filename();
        if (!work_.materials.error(*track) || !fs::exists(there)) continue;
        next = with_track(next, track->id, [&](Track& t) { t.file = fs::absolute(there).lexically_normal(); });
        ++found;
    }
    if (found > 0)
        work_.document.edit(tr("Find %n missing file(s)", nullptr, found), std::move(next));
    else
        work_.prompter->complain(tr("None of the missing files is in %1.").arg(to_qt(*folder)));
}

void FileActions::offer_recovery() {
    for (const auto& left : Document::left_behind()) {
        const QString what = left.path ? to_qt(left.path->filename()) : tr("An unnamed session");
        const auto answer = work_.prompter->ask(
            tr("Unsaved work was found"), tr("%1 was not saved when Isotonus last ended. Bring it back?").arg(what),
            tr("Bring it back"), tr("Discard it"));
        if (answer == Prompter::Answer::yes) {
            if (auto done = work_.document.recover(left); !done) complain(done.error());
            return;
        }
        if (answer == Prompter::Answer::no) Document::discard(left);
    }
}

}  // namespace isotonus
