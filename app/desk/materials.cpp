#include "app/desk/materials.h"

#include "core/foreign/plugins.h"
#include "core/mix/sum_of_rows.h"

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
    if (track.low_centre_hz <= 0.0) return list;
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
    const bool same_file = before != last_.end() && before->second->ready.source.file == track.source.file;
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
    Source rest = staging_source(track, whole->material->ready);
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
    std::map<TrackId, TrackId> twins;
    for (const auto& [track, before] :
         identical_tracks(document_.session(), [this](const Track& t) { return is_current(t) ? of(t) : nullptr; }))
        twins[track] = before;
    if (twins == twin_of_) return;
    twin_of_ = std::move(twins);
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
        return m && (changed(m->ready.media) || (m->ready.right && changed(*m->ready.right)));
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
    constexpr size_t most_kept = 200;
    for (auto at = entries_.begin(); at != entries_.end();) {
        const Entry& e = at->second;
        const bool old = e.last_wanted < round_ && (e.waiting() || entries_.size() > most_kept);
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
    if (before > 0 && waiting_ == 0) emit finished();
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
    const bool same_file = before != last_played_.end() && before->second->ready.source.file == track.source.file;
    return same_file ? before->second : of(track);
}

MaterialPtr Materials::shaped_sum(TrackId row) const {
    const auto at = bus_keys_.find(row);
    return at == bus_keys_.end() ? nullptr : signals_.find(at->second);
}

MaterialOf Materials::known() const {
    return {[this](const Track& t) { return played(t); },
            [this](const SignalRecipe& recipe) {
                if (MaterialPtr made = signals_.find(signal_key(recipe))) return made;
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
    return {of_track, [this](const SignalRecipe& recipe) { return signals_.find(signal_key(recipe)); }};
}

/// Once all tracks are known: what leads to a bus is then known too, or is being made and can be read meanwhile.
void Materials::request_buses(bool rested) {
    const auto is_of_bus = [](const auto& m) { return m.second.of_bus; };
    if (waiting_ > 0 || !std::all_of(making_.begin(), making_.end(), is_of_bus)) return;
    if (!making_.empty() && !rested) {
        rested_.start();
        return;
    }
    const Session& session = document_.session();
    bus_keys_.clear();
    std::set<std::string> wanted_keys;
    std::vector<std::tuple<std::string, SignalRecipe, std::optional<BegunSignal>>> missing;
    compile_plan(session,
                 {[this](const Track& t) { return played(t); },
                  [&](const SignalRecipe& recipe) -> MaterialPtr {
                      std::string key = signal_key(recipe);
                      wanted_keys.insert(key);
                      bus_keys_[recipe.row] = key;
                      if (MaterialPtr made = signals_.find(key)) return last_played_[{recipe.row, Band::all}] = made;
                      std::optional<BegunSignal> begun;
                      const auto making = making_.find(recipe.row);
                      if (making != making_.end() && making->second.key == key)
                          begun = making->second.begun;
                      else if (!unmade_.contains(key) && is_known(recipe))
                          missing.emplace_back(key, recipe, begun = BegunSignal::begin(recipe));
                      return begun ? begun->material() : nullptr;
                  }},
                 Solo::left_out);
    for (auto& [row, making] : making_)
        if (!wanted_keys.contains(making.key)) making.progress->cancel();
    for (auto& [key, recipe, begun] : missing)
        make(recipe.row, recipe, {}, {key, std::make_shared<Progress>(), true, begun});
    // All that the session wants has been asked for by now.
    signals_.forget_old();
}

void Materials::request_signals(bool rested) {
    const Session& session = document_.session();
    for (const auto& track : session.tracks) {
        if (!is_shaped(session, *track)) continue;
        // Of a file that is being measured anew what was there before does not count.
        if (!is_current(*track)) continue;
        const std::string key = signals_.key(session, *track, files()).value_or("");
        if (key.empty()) continue;
        std::vector<Source> bands;
        if (track->low_centre_hz > 0.0) bands = sources_of(*track);
        const bool there = signals_.find(key) && std::all_of(bands.begin(), bands.end(), [&](const Source& s) {
                               return signals_.find(RowSignals::band_key(key, s.band, s.crossover_hz));
                           });
        if (!there && !making_.contains(track->id) && !unmade_.contains(key))
            make(track->id, *signals_.recipe(session, *track, files()), bands,
                 {key, std::make_shared<Progress>(), false, std::nullopt});
    }
    request_buses(rested);
}

void Materials::make(TrackId id, const SignalRecipe& recipe, const std::vector<Source>& bands, const Making& making) {
    making_[id] = making;
    const auto run = [recipe, bands, begun = making.begun](Progress& progress) -> Result<Made> {
        Made made;
        auto whole = begun ? begun->finish(&progress) : make_signal(recipe, &progress);
        if (whole) made.emplace_back(Source{}, *whole);
        for (const Source& s : bands)
            if (auto part = whole ? make_band(*whole, s.band, s.crossover_hz, &progress) : whole)
                made.emplace_back(s, *part);
        return made;
    };
    const auto taken = [this, id, wanted = 1 + bands.size(), making](const Result<Made>& made) {
        take(id, wanted, made.value_or(Made()), making);
    };
    (making.of_bus ? of_buses_ : of_tracks_).start(run, taken, making.progress);
}

void Materials::take(TrackId id, size_t wanted, const Made& made, const Making& making) {
    const auto at = making_.find(id);
    if (at != making_.end() && at->second.progress == making.progress) making_.erase(at);
    if (making.progress->cancelled()) {
        // Whatever was waiting for its end goes on: there may be no newer one.
        if (making_.empty()) request_signals();
        emit reshaped();
        return;
    }
    if (made.size() < wanted) unmade_.insert(making.key);
    for (const auto& [source, material] : made) {
        signals_.add(RowSignals::band_key(making.key, source.band, source.crossover_hz), material);
        last_played_[{id, source.band}] = material;
    }
    // What listens to it, and what has changed meanwhile, comes next.
    request_signals();
    emit reshaped();
}

}  // namespace isotonus
