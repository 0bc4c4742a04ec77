#include "app/desk/materials.h"

namespace isotonus {

Materials::Materials(Document& document, QObject* parent) : QObject(parent), document_(document) {
    pool_.setMaxThreadCount(worker_count());
    connect(&document_, &Document::session_changed, this, &Materials::request_missing);
}

Materials::~Materials() {
    stop_->cancel();
    pool_.waitForDone();
}

const Materials::Entry* Materials::find(const Track& track) const {
    const auto at = entries_.find(key_of(track, document_.session().sample_rate));
    return at == entries_.end() ? nullptr : &at->second;
}

MaterialPtr Materials::of(const Track& track) const {
    const Entry* e = find(track);
    return e ? e->material : nullptr;
}

const Measurement* Materials::measured(const Track& track) const {
    const Entry* e = find(track);
    return e && e->material ? &e->material->measurement : nullptr;
}

const Error* Materials::error(const Track& track) const {
    const Entry* e = find(track);
    return e && e->error ? &*e->error : nullptr;
}

std::optional<Staging> Materials::staging(const Track& track) const {
    const Measurement* m = measured(track);
    if (!m) return std::nullopt;
    return staged_as_is(document_.session().targets, track, *m);
}

std::vector<MissingFile> Materials::missing() const {
    std::vector<MissingFile> list;
    for (const auto& track : document_.session().tracks)
        if (const Error* e = error(*track)) list.push_back({track->name, *e});
    return list;
}

double Materials::progress() const { return asked_ > 0 ? 1.0 - static_cast<double>(waiting_) / asked_ : 1.0; }

void Materials::cancel() {
    if (waiting_ == 0) return;
    stop_->cancel();
    stop_ = std::make_shared<Progress>();
    pool_.clear();
    for (auto& [key, entry] : entries_)
        if (!entry.material && !entry.error) entry.error = Error{key.first, tr("reading was cancelled").toStdString()};
    waiting_ = 0;
    emit changed();
    emit finished();
}

void Materials::retry() {
    std::erase_if(entries_, [](const auto& e) { return e.second.error.has_value(); });
    request_missing();
}

void Materials::request_missing() {
    const int rate = document_.session().sample_rate;
    if (waiting_ == 0) asked_ = 0;
    for (const auto& track : document_.session().tracks) {
        const Key key = key_of(*track, rate);
        if (entries_.contains(key)) continue;
        entries_[key] = {};
        ++waiting_;
        ++asked_;
        pool_.start([this, key, stop = stop_] {
            auto loaded = load_material(key.first, key.second, stop.get());
            QMetaObject::invokeMethod(this, [this, key, stop, loaded = std::move(loaded)] {
                if (stop->cancelled()) return;
                Entry& entry = entries_[key];
                if (loaded)
                    entry.material = *loaded;
                else
                    entry.error = loaded.error();
                --waiting_;
                emit changed();
                if (waiting_ == 0) emit finished();
            });
        });
    }
}

}  // namespace isotonus
