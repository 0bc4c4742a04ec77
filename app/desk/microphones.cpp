#include "app/desk/microphones.h"

namespace isotonus {

Microphones::Microphones(Document& document, Materials& materials, QObject* parent)
    : QObject(parent), document_(document), materials_(materials) {
    connect(&materials_, &Materials::finished, this, &Microphones::look);
    connect(&document_, &Document::session_changed, this, &Microphones::follow_session);
}

/// Most edits change nothing that microphones are compared by: a fader that is dragged costs a walk over the rows.
void Microphones::follow_session() {
    const std::shared_ptr<const Session> before = std::exchange(seen_, document_.shared());
    const auto same = [](const auto& a, const auto& b) {
        return a == b || (a->id == b->id && standing_of(*a) == standing_of(*b) && a->name == b->name &&
                          a->family == b->family && a->source == b->source);
    };
    const auto &was = before ? before->tracks : seen_->tracks, &is = seen_->tracks;
    if (!before || !std::equal(was.begin(), was.end(), is.begin(), is.end(), same)) look();
}

void Microphones::look() {
    if (materials_.waiting() > 0) return;
    const std::shared_ptr<const Session> session = document_.shared();
    Asked now;
    now.sample_rate = session->sample_rate;
    std::map<TrackId, MaterialPtr> known;
    for (const auto& t : session->tracks) {
        known[t->id] = materials_.is_current(*t) ? materials_.of(*t) : nullptr;
        now.materials.push_back(known[t->id]);
        now.standing.push_back(standing_of(*t));
        now.names.push_back(t->name);
        now.families.push_back(t->family);
    }
    if (now == asked_) return;
    asked_ = std::move(now);
    found_.clear();  // of how rows stood before: nothing is moved by that any more
    if (looking_) looking_->cancel();
    looking_ = std::make_shared<Progress>();
    const auto compare = [session, known = std::move(known)](Progress& progress) -> Result<Found> {
        Found found;
        const auto sets = microphone_sets(
            *session, [&](const Track& t) { return known.at(t.id); }, &progress);
        for (const auto& set : sets)
            for (size_t n = 1; n < set.size() && !progress.cancelled(); ++n) {
                const Track &reference = *session->find(set[0]), &track = *session->find(set[n]);
                const auto how =
                    align_to(*known.at(reference.id), *known.at(track.id), standing_of(reference), standing_of(track));
                if (how) found[track.id] = {reference.id, *how};
            }
        return found;
    };
    jobs_.start(
        compare,
        [this, looking = looking_](const Result<Found>& found) {
            if (!looking->cancelled()) take(found.value_or(Found()));
        },
        looking_);
}

std::vector<std::vector<TrackId>> Microphones::sets() const {
    std::map<TrackId, std::vector<TrackId>> by_reference;
    for (const auto& [id, against] : found_) {
        auto& set = by_reference[against.reference];
        if (set.empty()) set.push_back(against.reference);
        set.push_back(id);
    }
    std::vector<std::vector<TrackId>> sets;
    for (auto& [reference, set] : by_reference) sets.push_back(std::move(set));
    return sets;
}

void Microphones::take(Found found) {
    looking_.reset();
    found_ = std::move(found);
    std::map<TrackId, Finding> findings;
    for (const auto& [id, against] : found_) {
        const Track* reference = document_.track(against.reference);
        if (!reference || !document_.track(id)) continue;
        if (auto finding = finding_of(against.how, *reference, document_.session().sample_rate))
            findings[id] = std::move(*finding);
    }
    materials_.add_findings(std::move(findings));
    emit sets_found();
}

void Microphones::align(TrackId id) {
    const auto at = found_.find(id);
    const Track* track = document_.track(id);
    if (at == found_.end() || !track || !at->second.how.reliable) return;
    document_.edit_tracks(tr("Align %1").arg(QString::fromStdString(track->name)), {id},
                          [&](Track& t) { t = aligned(t, at->second.how); });
}

}  // namespace isotonus
