#include "app/shape/advisor.h"

#include "app/shape/frequency.h"
#include "app/style/text.h"
#include "core/shape/cuts.h"
#include "core/shape/equaliser.h"

namespace isotonus {

Advisor::Advisor(Workspace& work, QObject* parent) : QObject(parent), work_(work) {
    // Advice is of what stood when it was asked for.
    connect(&work.document, &Document::session_changed, this, &Advisor::leave);
    connect(&work.view.shape, &ShapeView::row_changed, this, &Advisor::leave);
    connect(&work.document, &Document::selection_changed, this, &Advisor::leave);
    connect(&work.mix, &MixWatch::audibility_changed, this, &Advisor::tell_of_room);
}

Advisor::~Advisor() {
    jobs_.end();
    work_.view.shape.show_ghosts({});
}

void Advisor::start(std::function<Result<Found>(Progress&)> work) {
    leave();
    running_ = std::make_shared<Progress>();
    text_ = tr("Measuring the whole song…");
    emit changed();
    jobs_.start(
        std::move(work),
        [this, progress = running_](const Result<Found>& found) {
            if (progress != running_ || progress->cancelled()) return;
            running_.reset();
            show(found ? *found : Found{QString::fromStdString(found.error().text()), {}, {}});
        },
        running_);
}

void Advisor::show(const Found& found) {
    text_ = found.text;
    name_ = found.name;
    room_ = found.room;
    if (found.cover) cover_found_(*found.cover);
    work_.view.shape.show_ghosts(found.chains);
    emit changed();
}

void Advisor::take() {
    if (!can_take()) return;
    const std::map<TrackId, Chain> chains = work_.view.shape.ghosts();
    const QString name = name_;
    Session next = work_.document.session();
    for (const auto& [row, chain] : chains) next = with_chain(next, row, [&chain = chain](Chain& c) { c = chain; });
    const auto room = room_;
    work_.document.edit(name, std::move(next));
    leave();
    taken_room_ = room;
    if (!room) return;
    stop_listening_ = !work_.mix.audibility_wanted();
    work_.mix.want_audibility(true);
    text_ = tr("Measuring the result…");
    emit changed();
}

void Advisor::tell_of_room() {
    if (!taken_room_ || work_.materials.shaping() || work_.mix.hearing() || work_.mix.share_listened() < 1.0) return;
    const Audibility* now = work_.mix.audibility(taken_room_->row);
    if (!now || !now->share) return;
    const auto percent = [](double share) { return shown_figure(100.0 * share, 1); };
    text_ = tr("%1 % of %2 is heard now; before %3 %, expected %4 %.")
                .arg(percent(*now->share), QString::fromStdString(work_.document.session().name_of(taken_room_->row)),
                     percent(taken_room_->before), percent(taken_room_->after));
    forget_room();
    emit changed();
}

void Advisor::forget_room() {
    room_.reset();
    taken_room_.reset();
    if (std::exchange(stop_listening_, false)) work_.mix.want_audibility(false);
}

void Advisor::leave() {
    if (running_) running_->cancel();
    running_.reset();
    forget_room();
    if (text_.isEmpty() && !can_take()) return;
    text_.clear();
    work_.view.shape.show_ghosts({});
    emit changed();
}

void Advisor::low_cuts(const std::vector<TrackId>& rows) {
    struct Row {
        TrackId id;
        QString name;
        MaterialPtr file;
        bool low_wanted, carried;
        Chain chain;
    };
    const auto measured = [this](const Track& t) { return work_.materials.measured(t); };
    std::vector<Row> wanted;
    for (const TrackId id : rows)
        if (const Track* t = work_.document.track(id))
            if (const MaterialPtr m = work_.materials.of(*t))
                wanted.push_back({id, QString::fromStdString(t->name), m, wants_lows(*t, &m->measurement),
                                  has_lows_carried(work_.document.session(), *t, measured), t->chain});
    start([wanted](Progress& progress) -> Result<Found> {
        Found found;
        found.name = Advisor::tr("Suggested low cut");
        QStringList words;
        for (const Row& row : wanted) {
            const auto spectrum = spectrum_of(*row.file, &progress);
            if (!spectrum) return tl::unexpected(spectrum.error());
            const auto advice = low_cut_advice(*spectrum, row.low_wanted, row.carried);
            if (!advice) {
                words << Advisor::tr("%1: no low cut needed, nothing sounds below its body").arg(row.name);
                continue;
            }
            words << Advisor::tr("%1: a low cut at %2 removes %3 dB")
                         .arg(row.name, hz_text(advice->hz))
                         .arg(shown_figure(advice->takes_db, 1));
            Chain chain = row.chain;
            set_low_cut(chain, advice->hz);
            found.chains[row.id] = std::move(chain);
        }
        found.text = words.mid(0, 2).join("; ") + (words.size() > 2 ? QString("; …") : QString());
        return found;
    });
}

void Advisor::troubles(TrackId row) {
    const Track* t = work_.document.track(row);
    const MaterialPtr file = t ? work_.materials.of(*t) : nullptr;
    if (!file) return;
    start([row, file, chain = t->chain](Progress& progress) -> Result<Found> {
        const auto troubles = find_troubles(*file, 4, &progress);
        if (!troubles) return tl::unexpected(troubles.error());
        Found found;
        found.name = Advisor::tr("Cuts at resonances");
        if (troubles->empty()) {
            found.text = Advisor::tr("No resonance stands out for long.");
            return found;
        }
        Chain next = chain;
        QStringList words;
        for (const Trouble& trouble : *troubles) {
            words << Advisor::tr("%1 (%2) by %3 dB")
                         .arg(hz_text(trouble.hz), QString::fromStdString(trouble.note()))
                         .arg(trouble.excess_db, 0, 'f', 0);
            add_bell(next, {trouble.hz, trouble.cut_db, trouble.q});
        }
        found.text = Advisor::tr("Resonances: %1. Narrow cuts there tame them.").arg(words.join(", "));
        found.chains[row] = std::move(next);
        return found;
    });
}

void Advisor::reduction(TrackId row, size_t position, const ReductionAim& aim) {
    const MaterialPtr shaped = work_.edits.shaped(row);
    const Chain* chain = work_.document.session().chain_of(row);
    if (!chain || position >= chain->size()) return;
    if (!shaped) {
        show({tr("The chain is still being computed. Ask again in a moment."), {}, {}});
        return;
    }
    start([row, position, aim, recipe = signal_of(shaped)->recipe()](Progress& progress) -> Result<Found> {
        const auto aimed = threshold_for(recipe, position, aim, &progress);
        if (!aimed) return tl::unexpected(aimed.error());
        Found found;
        found.name = Advisor::tr("Threshold for the target reduction");
        found.text = (aimed->reached ? Advisor::tr("Threshold %1: at most %2 dB at %3, %4 dB while it works.")
                                     : Advisor::tr("Threshold %1: at most %2 dB at %3, %4 dB while it works. This is "
                                                   "the closest threshold."))
                         .arg(db_text(aimed->threshold_dbfs, "dBFS"))
                         .arg(shown_figure(aimed->reduction.max_db, 1))
                         .arg(time_text(aimed->reduction.max_at_s))
                         .arg(shown_figure(aimed->reduction.typical_db, 1));
        Chain next = recipe.chain;
        next[position].values["threshold_dbfs"] = aimed->threshold_dbfs;
        if (aimed->reached) found.chains[row] = std::move(next);
        return found;
    });
}

namespace {

/// What is known, and the rest listened to now.
ExcitationOf all_excitations(ExcitationOf known, Progress& progress) {
    auto heard = std::make_shared<std::map<MaterialPtr, ExcitationPtr>>();
    return [known = std::move(known), heard, &progress](const MaterialPtr& m) {
        if (ExcitationPtr e = known(m)) return e;
        ExcitationPtr& e = (*heard)[m];
        if (!e) e = excitation_of(*m, &progress).value_or(nullptr);
        return e;
    };
}

}  // namespace

void Advisor::note(TrackId row) {
    const QString name = QString::fromStdString(work_.document.session().name_of(row));
    const auto may_cut =
        may_make_room(work_.document.session(), [this](const Track& t) { return work_.materials.measured(t); });
    start([row, name, may_cut, plan = work_.player.plan(),
           session = work_.document.shared()](Progress& progress) -> Result<Found> {
        std::map<MaterialPtr, LongTermSpectrum> spectra;
        MaterialPtr own;
        for (const PlanPart& part : plan->parts) {
            if (!part.material || spectra.contains(part.material)) continue;
            const auto spectrum = spectrum_of(*part.material, &progress);
            if (!spectrum) return tl::unexpected(spectrum.error());
            spectra[part.material] = *spectrum;
            if (plan->id_of(part) == row) own = part.material;
        }
        Found found;
        found.text = Advisor::tr("%1 is not heard.").arg(name);
        if (!own) return found;
        const auto hz = strongest_hz(*own, &progress);
        if (!hz) return tl::unexpected(hz.error());
        if (!*hz) return found;
        const auto cuts = note_out_of_others(
            *plan, row, **hz, [&](const MaterialPtr& m) { return &spectra.at(m); },
            [&](TrackId id) { return !may_cut(id); });
        const QString note = QString("%1 (%2)").arg(QString::fromStdString(note_name(**hz)), hz_text(**hz));
        if (!cuts) {
            found.text = Advisor::tr("%1 is strongest at %2; a narrow cut in the others does not bring more of it.")
                             .arg(name, note);
            return found;
        }
        found.name = Advisor::tr("Cut %1 of %2 in the others").arg(QString::fromStdString(note_name(**hz)), name);
        QStringList who;
        const Session next = with_note_cuts(*session, *cuts);
        for (const auto& [id, db] : cuts->cuts) {
            who << QString("%1 %2").arg(QString::fromStdString(session->name_of(id)), db_text(db));
            found.chains[id] = *next.chain_of(id);
        }
        found.text =
            Advisor::tr(
                "%1 is strongest at %2. With narrow cuts there (%3), %4 % of the sound around it is %1's; now %5 %.")
                .arg(name, note, who.join(", "))
                .arg(std::lround(100.0 * cuts->share_after))
                .arg(std::lround(100.0 * cuts->share_before));
        return found;
    });
}

void Advisor::room(TrackId row) {
    const QString name = QString::fromStdString(work_.document.session().name_of(row));
    const auto may_cut =
        may_make_room(work_.document.session(), [this](const Track& t) { return work_.materials.measured(t); });
    start([row, name, may_cut, plan = work_.player.plan(), known = work_.mix.known_excitations(),
           listening = work_.mix.listening(), session = work_.document.shared()](Progress& progress) -> Result<Found> {
        const RoomProposal room = make_room(*plan, row, all_excitations(known, progress), listening, may_cut);
        if (progress.cancelled()) return stopped();
        Found found;
        found.name = Advisor::tr("Make room for %1").arg(name);
        const long before = std::lround(100.0 * room.before), after = std::lround(100.0 * room.after);
        if (room.cuts.empty()) {
            found.text = Advisor::tr("%1 % of %2 is heard, and no small cut brings more.").arg(before).arg(name);
            return found;
        }
        found.room = {row, room.before, room.after};
        const Session next = with_room(*session, room.cuts);
        QStringList words;
        for (const RoomCut& cut : room.cuts) {
            found.chains[cut.row] = *next.chain_of(cut.row);
            words << Advisor::tr("%1 %2 at %3")
                         .arg(QString::fromStdString(session->name_of(cut.row)), db_text(cut.db), hz_text(cut.hz));
        }
        found.text = Advisor::tr("%1 % of %2 is heard, %3 % with these cuts: %4.")
                         .arg(before)
                         .arg(name)
                         .arg(after)
                         .arg(words.join(", "));
        return found;
    });
}

void Advisor::duck(TrackId row, TrackId key) {
    const Session& session = work_.document.session();
    const Track *t = session.find(row), *k = session.find(key);
    const MaterialPtr file = t ? work_.materials.of(*t) : nullptr, key_file = k ? work_.materials.of(*k) : nullptr;
    if (!file || !key_file) return;
    const auto fader_db = [&](const Track& x) { return x.fader_db + session.group_db(x.id); };
    start([row, key, chain = t->chain, own = tap_of(session, *t, file), own_db = fader_db(*t),
           listened = tap_of(session, *k, key_file), key_db = fader_db(*k),
           key_name = QString::fromStdString(k->name)](Progress& progress) -> Result<Found> {
        const auto advice = duck_advice(own, own_db, listened, key_db, &progress);
        if (!advice) return tl::unexpected(advice.error());
        Found found;
        found.name = Advisor::tr("Duck under %1").arg(key_name);
        if (!*advice) {
            found.text = Advisor::tr("%1 has no hits.").arg(key_name);
            return found;
        }
        const DuckAdvice& a = **advice;
        const QString overlap = Advisor::tr("At %n hit(s) of %1 the low ends correlate by %2", nullptr, a.hits)
                                    .arg(key_name, db_text(a.overlap_db, "dB", true));
        if (a.depth_db <= 0.0) {
            found.text = Advisor::tr("%1: no hits to duck under.").arg(overlap);
            return found;
        }
        found.text = Advisor::tr("%1: %2 dB down for %3 ms, release %4 ms.")
                         .arg(overlap)
                         .arg(shown_figure(a.depth_db, 1))
                         .arg(a.hold_ms, 0, 'f', 0)
                         .arg(a.release_ms, 0, 'f', 0);
        Chain next = chain;
        set_duck(next, key, a);
        found.chains[row] = std::move(next);
        return found;
    });
}

void Advisor::cover(TrackId row, std::function<void(std::vector<CoveredBand>)> found) {
    const QString name = QString::fromStdString(work_.document.session().name_of(row));
    cover_found_ = std::move(found);
    start([row, name, plan = work_.player.plan(), known = work_.mix.known_excitations(),
           listening = work_.mix.listening()](Progress& progress) -> Result<Found> {
        auto cover = covered_bands(*plan, row, all_excitations(known, progress), listening);
        if (progress.cancelled()) return stopped();
        const auto covered = std::count_if(cover.begin(), cover.end(), [](const auto& b) { return b.share > 0.1; });
        Found found;
        found.text = covered > 0 ? Advisor::tr("The picture shows what covers %1. Point at a band.").arg(name)
                                 : Advisor::tr("Nothing covers %1 for more than a tenth of its time.").arg(name);
        found.cover = std::move(cover);
        return found;
    });
}

}  // namespace isotonus
