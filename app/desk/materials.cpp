#include "app/desk/materials.h"

#include "core/foreign/plugins.h"

#include <fmt/format.h>

namespace isotonus {

Materials::Materials(Document& document, QObject* parent) : QObject(parent), document_(document) {
    rested_.setSingleShot(true);
    rested_.setInterval(100);
    connect(&rested_, &QTimer::timeout, this, [this] { request_signals(true); });
    connect(&document_, &Document::session_changed, this, &Materials::request_missing);
    connect(this, &Materials::finished, this, &Materials::look_for_twins);
    connect(&document_, &Document::session_changed, this, [this] { request_signals(); });
    connect(this, &Materials::changed, this, [this] { request_signals(); });
}

Materials::~Materials() {
    for (Background* jobs : {&reading_, &of_tracks_, &of_buses_}) jobs->give_up();
    end_all_plugins();  // one that hangs would be waited for
}

std::string Materials::key_of(const Track& track) const {
    if (const auto at = wanted_.find(&track); at != wanted_.end()) return at->second.front().key;
    ++keys_made_;
    return fmt::format("{}\n{}", source_key(source_of(track)), document_.session().sample_rate);
}

std::vector<Materials::Wanted> Materials::wanted_by(const Track& track) const {
    std::vector<Wanted> list{{source_of(track), key_of(track)}};
    if (track.mono_below_hz <= 0.0) return list;
    Track played = track;
    for (const Source& part : sources_of(track)) {
        played.source.band = part.band;
        played.source.crossover_hz = part.crossover_hz;
        list.push_back({part, key_of(played)});
    }
    return list;
}

void Materials::take_keys() {
    const std::shared_ptr<const Session> now = document_.shared();
    if (keyed_ && keyed_->sample_rate != now->sample_rate) wanted_.clear();
    std::unordered_map<const Track*, std::vector<Wanted>> wanted;
    for (const auto& track : now->tracks) {
        const auto known = wanted_.find(track.get());
        wanted[track.get()] = known != wanted_.end() ? known->second : wanted_by(*track);
    }
    wanted_ = std::move(wanted);
    keyed_ = now;
}

const Materials::Entry* Materials::find(const Track& track) const {
    const auto at = entries_.find(key_of(track));
    return at == entries_.end() ? nullptr : &at->second;
}

bool Materials::is_current(const Track& track) const {
    const Entry* e = find(track);
    return e && e->material;
}

MaterialPtr Materials::of(const Track& track) const {
    const Entry* e = find(track);
    if (e && !e->waiting()) return e->material;
    if (track.source.band != Band::all) return nullptr;  // the track is played whole until both parts are there
    const auto before = last_.find(track.id);
    const bool same_file = before != last_.end() && before->second->origin().source.file == track.source.file;
    return same_file ? before->second : nullptr;
}

const Measurement* Materials::measured(const Track& track) const {
    const MaterialPtr m = of(track);
    return m ? &m->measurement : nullptr;
}

const Error* Materials::error(const Track& track) const {
    const Entry* e = find(track);
    return e && e->error ? &*e->error : nullptr;
}

const Measurement* Materials::for_staging(const Track& track) const {
    if (!track.staged_without) return measured(track);
    const auto rest = rest_of(track);
    const auto at = rest ? entries_.find(rest->key) : entries_.end();
    return at != entries_.end() && at->second.material ? &at->second.material->measurement : nullptr;
}

std::optional<Materials::Wanted> Materials::rest_of(const Track& track) const {
    const Entry* whole = track.staged_without ? find(track) : nullptr;
    if (!whole || !whole->material) return std::nullopt;
    Source rest = staging_source(track, whole->material->origin());
    std::string key = fmt::format("{}\n{}", source_key(rest), document_.session().sample_rate);
    return Wanted{std::move(rest), std::move(key)};
}

std::optional<Staging> Materials::staging(const Track& track) const {
    const Measurement* m = for_staging(track);
    if (!m) return std::nullopt;
    return staged_as_is(document_.session().targets, track, *m);
}

const std::vector<Finding>& Materials::findings(const Track& track) const {
    static const std::vector<Finding> none;
    const MaterialPtr m = of(track);
    if (!m) return none;
    Found& known = findings_[track.id];
    if (known.in == m && known.name == track.name && known.family == track.family) return known.findings;
    known = {m, track.name, track.family, findings_of(*m, track)};
    const auto twin = twin_of_.find(track.id);
    const Track* first = twin == twin_of_.end() ? nullptr : document_.track(twin->second);
    if (first)
        known.findings.insert(
            known.findings.begin(),
            {"identical", tr("the same audio as %1").arg(QString::fromStdString(first->name)).toStdString()});
    if (const auto found = of_sides_.find(track.id); found != of_sides_.end()) {
        std::erase_if(known.findings, [](const Finding& f) { return f.id == "dead_channel"; });
        known.findings.insert(known.findings.begin(), found->second);
    }
    if (const auto found = of_microphones_.find(track.id); found != of_microphones_.end())
        known.findings.insert(known.findings.begin(), found->second);
    return known.findings;
}

void Materials::add_findings(std::map<TrackId, Finding> found) {
    const auto same = [](const auto& a, const auto& b) { return a.first == b.first && a.second.text == b.second.text; };
    if (std::equal(found.begin(), found.end(), of_microphones_.begin(), of_microphones_.end(), same)) return;
    of_microphones_ = std::move(found);
    findings_.clear();
    emit changed();
}

void Materials::look_for_twins() {
    const auto known = [this](const Track& t) { return is_current(t) ? of(t) : nullptr; };
    std::map<TrackId, TrackId> twins;
    for (const auto& [track, before] : identical_tracks(document_.session(), known)) twins[track] = before;
    std::map<TrackId, Finding> sides;
    for (const auto& [left, right] : split_sides(document_.session(), known)) {
        sides[left] = finding_of_side(*document_.track(right), false);
        sides[right] = finding_of_side(*document_.track(left), true);
    }
    const bool same =
        std::equal(sides.begin(), sides.end(), of_sides_.begin(), of_sides_.end(),
                   [](const auto& a, const auto& b) { return a.first == b.first && a.second.text == b.second.text; });
    if (twins == twin_of_ && same) return;
    twin_of_ = std::move(twins);
    of_sides_ = std::move(sides);
    findings_.clear();
    emit changed();
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
    for (auto& [key, entry] : entries_) {
        if (!entry.waiting()) continue;
        entry.reading->cancel();
        entry.error = Error{key.substr(0, key.find('\n')), tr("reading was cancelled").toStdString()};
    }
    waiting_ = 0;
    emit changed();
    emit finished();
}

void Materials::retry() {
    std::erase_if(entries_, [](const auto& e) { return e.second.error.has_value(); });
    unmade_.clear();
    request_missing();
}

bool Materials::look_for_changed_files() {
    const auto changed = [](const Media& media) { return stamp_of(media.original) != media.stamp; };
    const size_t gone = std::erase_if(entries_, [&](const auto& entry) {
        const MaterialPtr& m = entry.second.material;
        return m && (changed(m->origin().media) || (m->origin().right && changed(*m->origin().right)));
    });
    if (gone > 0)
        request_missing();
    else
        request_signals();
    return gone > 0 || shaping();
}

void Materials::drop_unwanted() {
    // What is being read and no longer wanted (a drag that went on) makes room; of what is ready the latest stay, for
    // undo.
    constexpr size_t max_kept = 200;
    for (auto at = entries_.begin(); at != entries_.end();) {
        const Entry& e = at->second;
        const bool old = e.last_wanted < round_ && (e.waiting() || entries_.size() > max_kept);
        if (!old) {
            ++at;
            continue;
        }
        if (e.waiting()) {
            e.reading->cancel();
            --waiting_;
        }
        at = entries_.erase(at);
    }
}

void Materials::request_missing() {
    take_keys();
    const int before = waiting_;
    if (waiting_ == 0) asked_ = 0;
    ++round_;
    for (const auto& track : document_.session().tracks) {
        for (const Wanted& wanted : wanted_.at(track.get())) {
            want(wanted);
            const Entry& entry = entries_[wanted.key];
            if (entry.material && wanted.source.band == Band::all) last_[track->id] = entry.material;
        }
        if (const auto rest = rest_of(*track)) want(*rest);
    }
    drop_unwanted();
    if (waiting_ > 0) return;
    if (before > 0)
        emit finished();
    else
        look_for_twins();  // an undo brings tracks back whose files are known
}

void Materials::want(const Wanted& wanted) {
    Entry& entry = entries_[wanted.key];
    entry.last_wanted = round_;
    if (entry.reading) return;
    ++waiting_;
    ++asked_;
    start(wanted);
}

void Materials::start(const Wanted& wanted) {
    auto reading = std::make_shared<Progress>();
    entries_[wanted.key].reading = reading;
    const auto load = [source = wanted.source, rate = document_.session().sample_rate](Progress& progress) {
        return load_material(source, rate, &progress);
    };
    const auto taken = [this, key = wanted.key, reading](const Result<MaterialPtr>& loaded) {
        if (!reading->cancelled()) take(key, loaded);
    };
    reading_.start(load, taken, reading);
}

void Materials::take(const std::string& key, const Result<MaterialPtr>& loaded) {
    Entry& entry = entries_[key];
    if (loaded)
        entry.material = *loaded;
    else
        entry.error = loaded.error();
    for (const auto& track : document_.session().tracks) {
        const auto rest = rest_of(*track);
        if (rest && rest->key == key && entry.material) {
            // A track is of the kind that all of it is.
            auto as_whole = std::make_shared<Material>(*entry.material);
            as_whole->measurement.kind = measured(*track)->kind;
            entry.material = std::move(as_whole);
        }
        if (!entry.material || key_of(*track) != key) continue;
        last_[track->id] = entry.material;
        if (rest) want(*rest);
    }
    --waiting_;
    emit changed();
    if (waiting_ == 0) emit finished();
}

// --- signals --------------------------------------------------------------------------------------------------------

MaterialOf Materials::files() const {
    return [this](const Track& t) { return of(t); };
}

MaterialPtr Materials::shaped(const Track& track) const {
    const Session& session = document_.session();
    return is_shaped(session, track) ? signals_.played(session, track, files()) : nullptr;
}

MaterialPtr Materials::played(const Track& track) const {
    if (!is_shaped(document_.session(), track)) return of(track);
    if (MaterialPtr made = shaped(track)) return made;
    const auto before = last_played_.find({track.id, track.source.band});
    const bool same_file = before != last_played_.end() && before->second->origin().source.file == track.source.file;
    return same_file ? before->second : of(track);
}

MaterialPtr Materials::shaped_sum(TrackId row) const {
    const auto at = bus_keys_.find(row);
    return at == bus_keys_.end() ? nullptr : signals_.find(at->second);
}

MaterialOf Materials::known() const {
    return {[this](const Track& t) { return played(t); },
            [this](const SignalRecipe& recipe) {
                if (MaterialPtr made = signals_.find(content_key(recipe))) return made;
                const auto before = last_played_.find({recipe.row, Band::all});
                return before == last_played_.end() ? nullptr : before->second;
            }};
}

MaterialOf Materials::heard(const Session& session) const {
    const auto of_track = [this, &session](const Track& t) -> MaterialPtr {
        if (!is_shaped(session, t)) return of(t);
        if (MaterialPtr made = signals_.played(session, t, files())) return made;
        if (const auto recipe = signals_.recipe(session, t, files())) {
            const MaterialPtr whole = provisional_signal(*recipe);
            return t.source.band == Band::all ? whole : band_of(whole, t.source.band, t.source.crossover_hz);
        }
        return played(t);
    };
    return {of_track, [this](const SignalRecipe& recipe) { return signals_.find(content_key(recipe)); }};
}

void Materials::request_signals(bool rested) {
    SignalsAsked asked;
    // Of a file that is being measured anew what was there before does not count.
    asked.wants = [this](TrackId id) {
        const Track* track = document_.track(id);
        return !track || is_current(*track);
    };
    asked.given_up = unmade_;
    bool of_tracks = false;
    for (const auto& [id, making] : making_) {
        asked.running[id] = {making.job.key, making.job.begun};
        of_tracks |= !making.job.of_bus;
    }
    asked.buses = waiting_ == 0 && !of_tracks && (making_.empty() || rested);
    if (waiting_ == 0 && !of_tracks && !asked.buses) rested_.start();

    SignalWork work = next_work(
        document_.session(), files(), [this](const Track& t) { return played(t); }, signals_, asked);
    for (const TrackId id : work.unwanted) making_.at(id).progress->cancel();
    if (work.buses_asked) {
        bus_keys_ = std::move(work.bus_keys);
        for (const auto& [row, key] : bus_keys_)
            if (MaterialPtr there = signals_.find(key)) last_played_[{row, Band::all}] = there;
    }
    for (SignalJob& job : work.jobs) make(std::move(job));
    // All that the session wants has been asked for by now.
    if (work.buses_asked) signals_.forget_old();
}

void Materials::make(SignalJob job) {
    const TrackId id = job.recipe.row;
    const Making& making = making_[id] = {std::move(job), std::make_shared<Progress>()};
    (making.job.of_bus ? of_buses_ : of_tracks_)
        .start([job = making.job](Progress& progress) { return isotonus::make(job, &progress); },
               [this, making](const Result<MadeSignals>& made) { take(making, made); }, making.progress);
}

void Materials::take(const Making& making, const Result<MadeSignals>& made) {
    const TrackId id = making.job.recipe.row;
    const auto at = making_.find(id);
    if (at != making_.end() && at->second.progress == making.progress) making_.erase(at);
    if (making.progress->cancelled()) {
        // Whatever was waiting for its end goes on: there may be no newer one.
        if (making_.empty()) request_signals();
        emit reshaped();
        return;
    }
    if (!made) unmade_.insert(making.job.key);
    for (const MaterialPtr& material : made.value_or(MadeSignals())) {
        signals_.add(material);
        last_played_[{id, material->origin().source.band}] = material;
    }
    // What listens to it, and what has changed meanwhile, comes next.
    request_signals();
    emit reshaped();
}

}  // namespace isotonus
