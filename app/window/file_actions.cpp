#include "app/window/file_actions.h"

#include <QPointer>
#include <QProgressDialog>
#include <QRegularExpression>
#include <map>

#include "core/audio/sound_file.h"
#include "core/session/collect.h"
#include "core/session/sections_file.h"
#include "core/session/session_file.h"
#include "demosong/song.h"

namespace isotonus {

namespace {

QString session_filter() { return FileActions::tr("Isotonus session (*.isotonus)"); }

}  // namespace

QString FileActions::audio_filter() {
    return tr("Audio (*.wav *.rf64 *.w64 *.aif *.aiff *.flac *.ogg *.opus *.mp3 *.caf *.au);;All files (*)");
}

FileActions::FileActions(Workspace& work, Settings& settings, QObject* parent)
    : QObject(parent), work_(work), settings_(settings) {
    connect(&work_.document, &Document::file_changed_outside, this, &FileActions::offer_changed_file);
}

void FileActions::complain(const Error& error) { work_.prompter->complain(QString::fromStdString(error.text())); }

void FileActions::complain_of(const std::vector<Error>& problems) {
    if (problems.empty()) return;
    QStringList lines;
    for (const Error& p : problems) lines << QString::fromStdString(p.text());
    work_.prompter->complain(tr("Some files could not be added:") + '\n' + lines.join('\n'));
}

bool FileActions::may_leave() {
    if (work_.document.is_saved()) return true;
    switch (work_.prompter->ask(tr("Unsaved changes"), tr("%1 has unsaved changes.").arg(work_.document.name()),
                                tr("Save"), tr("Do not save"))) {
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
    settings_.add_recent(to_qt(absolute_path(file)));
    work_.player.locate(0.0);
    return true;
}

bool FileActions::open_path(const fs::path& path) {
    if (!may_leave()) return false;
    if (!is_folder(path)) return open_session(path);
    std::vector<Error> problems;
    auto session = session_from_folder(path, &problems);
    if (!session) {
        complain(session.error());
        return false;
    }
    std::map<fs::path, int> channels;
    for (const auto& t : session->tracks)
        if (const auto reader = SoundReader::open(t->source.file)) channels[t->source.file] = reader->info().channels;
    work_.player.stop();
    work_.document.adopt(with_channels_as_wished(std::move(*session), channels), std::nullopt, false);
    complain_of(problems);
    return true;
}

bool FileActions::save() {
    if (!work_.document.path()) return save_as();
    auto outside = Document::Outside::refused;
    if (work_.document.changed_outside()) {
        switch (work_.prompter->ask(tr("The file has changed"),
                                    tr("Another program has changed %1 since it was opened here.")
                                        .arg(to_qt(work_.document.path()->filename())),
                                    tr("Replace it"), tr("Open the changed file"))) {
            case Prompter::Answer::yes:
                outside = Document::Outside::overwritten;
                break;
            case Prompter::Answer::no:
                take_in_file();
                return false;
            case Prompter::Answer::cancel:
                return false;
        }
    }
    if (auto saved = work_.document.save(*work_.document.path(), outside); !saved) {
        complain(saved.error());
        return false;
    }
    return true;
}

void FileActions::take_in_file() {
    if (auto taken = work_.document.take_in_file(); !taken) complain(taken.error());
}

void FileActions::offer_changed_file() {
    const QString name = to_qt(work_.document.path()->filename());
    const QString what = work_.document.is_saved()
                             ? tr("Another program has changed %1.").arg(name)
                             : tr("Another program has changed %1. Undo returns to your unsaved version.").arg(name);
    if (work_.prompter->ask(tr("The file has changed"), what, tr("Open the changed file"), tr("Not now")) ==
        Prompter::Answer::yes)
        take_in_file();
}

bool FileActions::save_as() {
    const auto& tracks = work_.document.session().tracks;
    fs::path folder;
    if (work_.document.path())
        folder = work_.document.path()->parent_path();
    else if (tracks.empty())
        folder = absolute_path(".");
    else
        folder = tracks.front()->source.file.parent_path();
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
        if (is_folder(path)) {
            const auto found = audio_files_in(path);
            if (!found)
                problems.push_back(found.error());
            else if (found->empty())
                problems.push_back(
                    {path.string(),
                     tr("the folder has no audio files. Choose the folder of the exported tracks.").toStdString()});
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
    std::map<fs::path, int> channels;
    for (const fs::path& file : files) {
        const auto reader = SoundReader::open(file);
        if (reader) {
            readable.push_back(file);
            channels[absolute_path(file)] = reader->info().channels;
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
        next = with_files(next, readable);
        next = with_channels_as_wished(std::move(next), channels);
        work_.document.edit(tr("Add %n track(s)", nullptr, static_cast<int>(readable.size())), std::move(next));
    }
    complain_of(problems);
}

Session FileActions::with_channels_as_wished(Session next, const std::map<fs::path, int>& channels) {
    const auto channels_of = [&](const fs::path& file) {
        const auto at = channels.find(file);
        return at == channels.end() ? 0 : at->second;
    };
    const Session joined = with_pairs_joined(next, channels_of);
    if (const auto pairs = next.tracks.size() - joined.tracks.size(); pairs > 0) {
        QStringList names;
        for (const auto& t : joined.tracks)
            if (!t->source.right_file.empty() && names.size() < 6) names << QString::fromStdString(t->name);
        const auto answer =
            work_.prompter->ask(tr("Left and right"),
                                tr("%n pair(s) of mono files have names of a left and a right channel: %1.", nullptr,
                                   static_cast<int>(pairs))
                                    .arg(names.join(", ")),
                                tr("Make stereo tracks"), tr("Pan them left and right"));
        if (answer == Prompter::Answer::yes) next = joined;
        if (answer == Prompter::Answer::no) next = with_pairs_panned(next, channels_of);
    }
    const Session before = next;
    for (const auto& t : before.tracks) {
        const int count = channels_of(t->source.file);
        if (count <= 2 || t->source.channels != Channels::as_recorded) continue;
        const auto answer = work_.prompter->ask(
            tr("Many channels"), tr("%1 has %2 channels.").arg(to_qt(t->source.file.filename())).arg(count),
            tr("Split into mono tracks"), tr("Fold to stereo"));
        if (answer == Prompter::Answer::yes) next = with_channels_split(next, t->id, count);
    }
    return next;
}

QProgressDialog* FileActions::progress_dialog(const QString& text, const std::shared_ptr<Progress>& progress) {
    auto* dialog = new QProgressDialog(text, tr("Cancel"), 0, 1000);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setWindowModality(Qt::ApplicationModal);
    dialog->setMinimumDuration(300);
    auto* timer = new QTimer(dialog);
    connect(timer, &QTimer::timeout, dialog,
            [dialog, progress] { dialog->setValue(static_cast<int>(progress->fraction() * 999.0)); });
    timer->start(50);
    connect(dialog, &QProgressDialog::canceled, this, [progress] { progress->cancel(); });
    return dialog;
}

void FileActions::open_demo() {
    if (!may_leave()) return;
    auto progress = std::make_shared<Progress>();
    QPointer<QProgressDialog> dialog =
        progress_dialog(tr("The demo's music is being synthesised: the festival is tuning up…"), progress);
    jobs_.start([](Progress& progress) { return demo_in_cache(&progress); },
                [this, dialog, progress](const Result<fs::path>& file) {
                    const bool cancelled = progress->cancelled();  // closing the dialog cancels, too
                    if (dialog) dialog->close();
                    const auto session = file ? read_session(*file) : tl::unexpected(file.error());
                    if (!session) {
                        if (!cancelled) complain(session.error());
                        return;
                    }
                    // A copy without a file of its own: saving asks where, and the demo stays as it is.
                    work_.player.stop();
                    work_.document.adopt(*session, std::nullopt, true, tr("The paper-boat festival"));
                    work_.player.locate(0.0);
                },
                progress);
}

void FileActions::relink() {
    const auto folder = work_.prompter->choose_folder(tr("Look for missing files in"));
    if (!folder) return;
    int found = 0;
    Session next = with_missing_found(work_.document.session(), *folder, &found);
    if (found > 0)
        work_.document.edit(tr("Find %n missing file(s)", nullptr, found), std::move(next));
    else
        work_.prompter->complain(tr("None of the missing files is in %1.").arg(to_qt(*folder)));
}

void FileActions::collect_into() {
    const auto folder = work_.prompter->choose_folder(tr("Save with all files into a new or empty folder"));
    if (!folder) return;
    auto progress = std::make_shared<Progress>();
    QPointer<QProgressDialog> dialog = progress_dialog(tr("Copying the files of the session…"), progress);
    const std::string name = work_.document.name().toStdString();
    jobs_.start([folder = *folder, name, session = work_.document.session()](
                    Progress& progress) { return collect(session, folder, name, &progress); },
                [this, dialog, progress](const Result<Collected>& done) {
                    const bool cancelled = progress->cancelled();  // closing the dialog cancels, too
                    if (dialog) dialog->close();
                    if (!done) {
                        if (!cancelled) complain(done.error());
                        return;
                    }
                    if (!done->missing.empty()) complain_of(done->missing);
                    emit work_.view.hint(
                        tr("%1 and %n file(s) were saved in %2.", nullptr, static_cast<int>(done->files.size()))
                            .arg(to_qt(done->session.filename()), to_qt(done->session.parent_path())));
                },
                progress);
}

void FileActions::sections_in() {
    const auto file =
        work_.prompter->open_file(tr("Sections and tempo from"),
                                  tr("MIDI files, audio files with cue points (*.mid *.midi *.wav);;All files (*)"));
    if (!file) return;
    const auto found = read_sections(*file);
    if (!found) {
        complain(found.error());
        return;
    }
    Session next = work_.document.session();
    if (!found->sections.empty()) next.sections = found->sections;
    int colour = 0;
    for (Section& section : next.sections.change()) section.colour_index = colour++ % 12;
    if (!found->tempo.empty()) next.tempo = found->tempo;
    work_.document.edit(tr("Sections from %1").arg(to_qt(file->filename())), std::move(next));
}

void FileActions::sections_out() {
    const fs::path folder = work_.document.path() ? work_.document.path()->parent_path() : absolute_path(".");
    auto file = work_.prompter->save_file(tr("Sections and tempo to"), tr("MIDI file (*.mid)"),
                                          folder / (work_.document.name().toStdString() + ".mid"));
    if (!file) return;
    if (file->extension().empty()) *file += ".mid";
    if (const auto done = write_whole(*file, sections_to_midi(work_.document.session()), work_.document.kept_files());
        !done)
        complain(done.error());
}

bool FileActions::offer_recovery() {
    for (const auto& left : Recovery::left_behind()) {
        const QString what = left.path ? to_qt(left.path->filename()) : tr("An unnamed session");
        const auto answer = work_.prompter->ask(
            tr("Unsaved work was found"), tr("%1 was not saved before Isotonus last ended. Restore it?").arg(what),
            tr("Restore"), tr("Discard"));
        if (answer == Prompter::Answer::yes) {
            if (auto done = work_.document.recover(left); !done)
                complain(done.error());
            else
                return true;
        }
        if (answer == Prompter::Answer::no) Recovery::discard(left);
    }
    return false;
}

}  // namespace isotonus
