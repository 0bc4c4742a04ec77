#include "app/desk/reference_shelf.h"

#include <algorithm>

#include "core/files/paths.h"
#include "core/session/session_file.h"

namespace isotonus {

namespace {

fs::path shelf_file() { return settings_folder() / "references.json"; }

}  // namespace

ReferenceShelf::ReferenceShelf() {
    if (auto kept = read_shelf(shelf_file())) recordings_ = std::move(*kept);  // else it is told when it is used
}

bool ReferenceShelf::read_again() {
    auto kept = read_shelf(shelf_file());
    if (!kept) {
        emit trouble(QString::fromStdString(kept.error().text()));
        return false;
    }
    recordings_ = std::move(*kept);
    return true;
}

void ReferenceShelf::write_back() {
    if (const auto written = write_shelf(recordings_, shelf_file()); !written)
        emit trouble(QString::fromStdString(written.error().text()));
    emit changed();
}

void ReferenceShelf::keep(const Recording& reference) {
    if (!read_again()) return;
    Recording kept = reference;
    for (RecordingPassage& p : kept.passages) p.song_from_s.reset(), p.song_to_s.reset();  // those are this song's
    kept.starts_s = 0.0;
    const auto at =
        std::find_if(recordings_.begin(), recordings_.end(), [&](const Recording& r) { return r.file == kept.file; });
    if (at == recordings_.end())
        recordings_.push_back(std::move(kept));
    else
        *at = std::move(kept);
    write_back();
}

void ReferenceShelf::drop(size_t n) {
    const fs::path file = recordings_[n].file;
    if (!read_again()) return;
    std::erase_if(recordings_, [&](const Recording& r) { return r.file == file; });
    write_back();
}

}  // namespace isotonus
