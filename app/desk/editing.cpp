#include "app/desk/editing.h"

#include <QDateTime>

#include <algorithm>

#include "app/desk/ride_menu.h"
#include "app/desk/row_head.h"
#include "app/desk/workspace.h"
#include "app/style/text.h"
#include "core/balance/build_up.h"
#include "core/balance/fader.h"
#include "core/session/channel.h"
#include "core/session/presets.h"
#include "core/session/routing.h"
#include "core/shape/chain.h"
#include "core/shape/match.h"
#include "core/shape/signal.h"

namespace isotonus {

Editing::Editing(Workspace& work) : work_(work) {
    connect(&work.materials, &Materials::finished, this, &Editing::stage_waiting);
}

void Editing::stage(const std::vector<TrackId>& ids, const QString& name) {
    work_.document.edit(
        name, with_staged_trims(
                  work_.document.session(), [this](const Track& t) { return work_.materials.for_staging(t); }, &ids));
}

void Editing::stage_all() {
    std::vector<TrackId> ids;
    for (const auto& t : work_.document.session().tracks) ids.push_back(t->id);
    stage(ids, tr("Stage all"));
}

void Editing::stage_when_measured(const std::vector<TrackId>& ids, const QString& name, uint64_t gesture) {
    waiting_ = {ids, name, gesture};
    if (work_.materials.waiting() == 0) stage_waiting();
}

void Editing::stage_waiting() {
    if (!waiting_) return;
    const Waiting now = std::move(*waiting_);
    waiting_.reset();
    work_.document.edit(
        now.name,
        with_staged_trims(
            work_.document.session(), [this](const Track& t) { return work_.materials.for_staging(t); }, &now.ids),
        now.gesture);
}

void Editing::put_right(TrackId id, const Finding& finding) {
    const Track* t = work_.document.track(id);
    const MaterialPtr m = t ? work_.materials.of(*t) : nullptr;
    if (!m || finding.remedy == Remedy::none) return;
    const QString name = QString::fromStdString(t->name);
    QString what;
    switch (finding.remedy) {
        case Remedy::none:
            return;
        case Remedy::align:
            return work_.microphones.align(id);
        case Remedy::join_sides: {
            const Track* other = work_.document.track(finding.other);
            if (!other) return;
            const bool is_left = m->measurement.left_dbfs.value_or(-200.0) > m->measurement.right_dbfs.value_or(-200.0);
            const TrackId left = is_left ? id : other->id, right = is_left ? other->id : id;
            const auto answer = work_.prompter->ask(
                tr("Left and right"),
                tr("%1 and %2 each hold one channel of a stereo sound.").arg(name, QString::fromStdString(other->name)),
                tr("Make a stereo track"), tr("Pan them left and right"));
            if (answer == Prompter::Answer::cancel) return;
            const Session& session = work_.document.session();
            work_.document.edit(tr("Left and right"), answer == Prompter::Answer::yes
                                                          ? with_sides_joined(session, left, right)
                                                          : with_sides_panned(session, left, right));
            return;
        }
        case Remedy::remove_offset:
            what = tr("Remove the DC offset of %1");
            break;
        case Remedy::make_mono:
            what = tr("Make %1 mono");
            break;
        case Remedy::use_left:
            what = tr("Use the left channel of %1");
            break;
        case Remedy::use_right:
            what = tr("Use the right channel of %1");
            break;
        case Remedy::swap_sides:
            what = tr("Swap left and right of %1");
            break;
        case Remedy::tame_spikes:
            what = tr("Tame the spikes of %1");
            break;
    }
    work_.document.edit_tracks(what.arg(name), {id},
                               [&](Track& track) { track = with_remedy(track, finding.remedy, *m); });
}

Clips Editing::clips(TrackId id) const {
    const Track* t = work_.document.track(id);
    const MaterialPtr m = t ? work_.materials.of(*t) : nullptr;
    return m ? clips_of(t->source, m->origin().file_frames()) : Clips{};
}

void Editing::set_clips(const std::map<TrackId, Clips>& wanted, const QString& name, uint64_t gesture) {
    std::vector<TrackId> ids;
    std::map<TrackId, Clips> next;
    for (const auto& [id, clips] : wanted) {
        const Track* t = work_.document.track(id);
        const MaterialPtr m = t ? work_.materials.of(*t) : nullptr;
        if (!m || clips == this->clips(id)) continue;
        ids.push_back(id);
        next[id] = clips == clips_of({}, m->origin().file_frames()) ? Clips{} : clips;  // all of the file, as it is
    }
    if (ids.empty()) return;
    work_.document.edit_tracks(
        name, ids, [&](Track& track) { track.source.clips = std::move(next[track.id]); }, gesture);
}

void Editing::change_clip_gains(const std::vector<TrackId>& ids, const std::function<double(double)>& change,
                                const QString& name, uint64_t gesture) {
    std::map<TrackId, Clips> next;
    for (const TrackId id : ids) {
        Clips clips = this->clips(id);
        if (clips.empty()) continue;
        double& gain_db = clips[current_clip(id)].gain_db;
        gain_db = std::clamp(change(gain_db), -clip_gain_max_db, clip_gain_max_db);
        next[id] = std::move(clips);
    }
    set_clips(next, name, gesture);
}

size_t Editing::current_clip(TrackId id) const {
    const Clips all = clips(id);
    if (const auto chosen = work_.view.chosen_clip(id); chosen && *chosen < all.size()) return *chosen;
    const Track* t = work_.document.track(id);
    const int here =
        t ? clip_at(all, work_.document.frame_at(work_.player.position_s() - work_.document.shift_s(*t))) : -1;
    return here < 0 ? 0 : static_cast<size_t>(here);
}

void Editing::split_clip(TrackId id) {
    const Track* t = work_.document.track(id);
    if (!t) return;
    const Clips all = clips(id);
    const int64_t frame = work_.document.frame_at(work_.player.position_s() - work_.document.shift_s(*t));
    const int here = clip_at(all, frame);
    const Clips next = here < 0 ? all : with_split(all, static_cast<size_t>(here), frame);
    if (next == all) {
        emit work_.view.hint(
            tr("The playhead is outside of the clips, at an edge, or in a fade. Move it inside a clip to split."));
        return;
    }
    set_clips(id, tr("Split %1 at %2").arg(QString::fromStdString(t->name), time_text(work_.player.position_s(), 2)),
              next);
    work_.view.choose_clip(id, static_cast<size_t>(here) + 1);
}

void Editing::cut_out_loop(TrackId id) {
    const Track* t = work_.document.track(id);
    const auto& loop = work_.player.loop();
    if (!t || loop.to_s <= loop.from_s) {
        emit work_.view.hint(tr("Mark the stretch to cut out first: Shift and drag on the song map."));
        return;
    }
    const double shift = work_.document.shift_s(*t);
    set_clips(
        id,
        tr("Cut %1 to %2 out of %3")
            .arg(time_text(loop.from_s, 2), time_text(loop.to_s, 2), QString::fromStdString(t->name)),
        with_silence_between(clips(id), work_.document.frame_at(loop.from_s - shift),
                             work_.document.frame_at(loop.to_s - shift), work_.document.session().sample_rate / 200));
}

double Editing::fader_db(TrackId row) const {
    const Channel channel = channel_of(work_.document.session(), row);
    return channel ? *channel.fader_db : 0.0;
}

void Editing::set_fader(TrackId row, double db, uint64_t gesture) {
    const Session& s = work_.document.session();
    if (db < fader_floor_db) db = silence_db;
    work_.document.edit(tr("Fader %1 %2").arg(QString::fromStdString(s.name_of(row)), db_text(db)),
                        with_channel(s, row, [db](const ChannelEdit& c) { *c.fader_db = db; }), gesture);
}

void Editing::set_own_value(TrackId row, Parameter parameter, double value, uint64_t gesture) {
    const Session& s = work_.document.session();
    const auto set = [&](const ChannelEdit& c) {
        if (parameter == Parameter::trim) *c.trim_db = value;
        if (parameter == Parameter::pan) *c.pan = value;
        if (parameter == Parameter::width) *c.width = value;
        if (parameter == Parameter::mute) *c.mute = value >= 0.5;
        if (parameter == Parameter::left_pan && c.left_pan) *c.left_pan = value;
        if (parameter == Parameter::right_pan && c.right_pan) *c.right_pan = value;
    };
    if (parameter.processor() != 0) {
        const QString words = QString::fromStdString(shown_value(parameter.info(), value));
        set_chains(
            {row}, tr("%1 %2").arg(parameter_word(parameter), words),
            [&](Chain& chain) {
                for (Processor& p : chain)
                    if (p.id == parameter.processor()) set_value(p, parameter.info(), value);
            },
            gesture);
        return;
    }
    if (const Send* send = find_send(s, row, parameter.send())) {
        const ParameterInfo* what = &parameter.info();
        set_send(
            row, send->to,
            [&](Send& x) {
                if (what == &send_parameters::level) x.level_db = value <= what->low ? silence_db : value;
                if (what == &send_parameters::pan) x.own_pan = true, x.pan = value;
                if (what == &send_parameters::in) x.in = value >= 0.5;
            },
            gesture);
        return;
    }
    const QString name = tr("%1 of %2").arg(parameter_word(parameter), QString::fromStdString(s.name_of(row)));
    if (channel_of(s, row).output) work_.document.edit(name, with_channel(s, row, set), gesture);
}

void Editing::turn(TrackId row, Parameter parameter, double value, uint64_t gesture) {
    work_.view.ride.touch(row, parameter);
    if (work_.writing.writes(row) && can_be_ridden(work_.document.session().row_kind(row), parameter)) {
        const double clamped = std::clamp(value, parameter.info().low, parameter.info().high);
        if (gesture)
            work_.writing.move(row, parameter, clamped);
        else
            work_.writing.tap(row, parameter, clamped);
        return;
    }
    set_own_value(row, parameter, value, gesture);
    say_if_ridden(row, parameter);
}

void Editing::say_if_ridden(TrackId row, Parameter parameter) {
    if (!work_.writing.is_ridden(row, parameter)) return;
    const QString name = QString::fromStdString(work_.document.session().name_of(row)),
                  what = parameter_word(parameter);
    emit work_.view.hint(info_of(parameter).added
                             ? tr("%1 of %2 has automation, which is added to your setting. Use touch, latch or write "
                                  "to change the ride.")
                                   .arg(what, name)
                             : tr("%1 of %2 follows its automation: your setting is heard only when the ride is "
                                  "bypassed. Use touch, latch or write to change the ride.")
                                   .arg(what, name));
}

void Editing::set_mutes(const std::vector<TrackId>& channels, bool on) {
    Session next = work_.document.session();
    const Session before = next;
    std::vector<TrackId> by_hand;
    for (const TrackId id : channels)
        if (work_.writing.writes(id))
            work_.writing.tap(id, Parameter::mute, on ? 1.0 : 0.0);
        else
            by_hand.push_back(id);
    if (by_hand.empty()) return;
    for (const TrackId id : by_hand) next = with_channel(next, id, [on](const ChannelEdit& c) { *c.mute = on; });
    const QString name = QString::fromStdString(before.name_of(by_hand.front()));
    work_.document.edit((on ? tr("Mute %1") : tr("Unmute %1")).arg(name), std::move(next));
    say_if_ridden(by_hand.front(), Parameter::mute);
}

std::optional<Family> Editing::family_of_selection() const {
    std::optional<Family> shared;
    for (const TrackId id : work_.document.selected()) {
        const Track* t = work_.document.track(id);
        if (!t) continue;
        if (shared && *shared != work_.materials.family(*t)) return std::nullopt;
        shared = work_.materials.family(*t);
    }
    return shared;
}

std::vector<TrackId> Editing::rows_meant() const {
    const auto shared = family_of_selection();
    if (work_.document.selected().size() != 1 || !shared) return work_.document.selected();
    std::vector<TrackId> rows;
    for (const auto& t : work_.document.session().tracks)
        if (work_.materials.family(*t) == *shared) rows.push_back(t->id);
    return rows;
}

void Editing::set_chains(const std::vector<TrackId>& rows, const QString& name,
                         const std::function<void(Chain&)>& change, uint64_t gesture) {
    Session next = work_.document.session();
    for (const TrackId row : rows)
        if (next.chain_of(row)) next = with_chain(next, row, change);
    work_.document.edit(name, std::move(next), gesture);
}

void Editing::use_preset(const std::vector<TrackId>& channels, const Preset& preset, bool append, const QString& name) {
    Session next = work_.document.session();
    Aims aims;
    for (const TrackId channel : channels) {
        if (!next.chain_of(channel)) continue;
        TakenPreset put = taken(preset, *next.chain_of(channel), append);
        next = with_chain(next, channel, [&put](Chain& chain) { chain = put.chain; });
        if (!put.reductions.empty()) aims[channel] = std::move(put.reductions);
    }
    const uint64_t gesture = work_.document.new_gesture();
    if (work_.document.edit(name, std::move(next), gesture) && !aims.empty()) solve(aims, name, gesture);
}

void Editing::solve(const Aims& aims, const QString& name, uint64_t gesture) {
    std::map<TrackId, SignalRecipe> recipes;
    for (const auto& [channel, of] : aims)
        if (auto recipe = work_.materials.recipe_of(work_.document.session(), channel))
            recipes[channel] = std::move(*recipe);
    using Chains = std::map<TrackId, Chain>;
    const auto work = [recipes = std::move(recipes), aims](Progress& progress) -> Result<Chains> {
        Chains chains;
        for (const auto& [channel, recipe] : recipes) {
            auto chain = with_reductions(recipe, aims.at(channel), &progress);
            if (!chain) return tl::unexpected(chain.error());
            chains[channel] = std::move(*chain);
        }
        return chains;
    };
    solving_.start(work, [this, name, gesture](const Result<Chains>& chains) {
        if (!chains || !work_.document.is_last_gesture(gesture)) return;
        Session next = work_.document.session();
        for (const auto& [channel, chain] : *chains)
            next = with_chain(next, channel, [&chain = chain](Chain& c) { c = chain; });
        work_.document.edit(name, std::move(next), gesture);
    });
}

MaterialPtr Editing::shaped(TrackId row) const {
    const Session& session = work_.document.session();
    if (const Track* t = session.find(row)) return work_.materials.shaped(*t);
    return work_.materials.shaped_sum(row);
}

void Editing::move_processor(TrackId row, size_t from, size_t to) {
    const Chain* chain = work_.document.session().chain_of(row);
    if (!chain || from >= chain->size() || to >= chain->size() || from == to) return;
    work_.view.shape.position = to;
    set_chains({row}, tr("Move a processor"), [from, to](Chain& c) {
        const auto at = [&c](size_t n) { return c.begin() + static_cast<std::ptrdiff_t>(n); };
        if (from < to)
            std::rotate(at(from), at(from + 1), at(to + 1));
        else
            std::rotate(at(to), at(from), at(from + 1));
    });
}

void Editing::take_out_or_in(TrackId row, size_t position) {
    const Chain* chain = work_.document.session().chain_of(row);
    const Sends* sends = work_.document.session().sends_of(row);
    // Behind the processors stand the sends.
    if (chain && sends && position >= chain->size() && position - chain->size() < sends->size())
        return set_send(row, (*sends)[position - chain->size()].to, [](Send& s) { s.in = !s.in; });
    if (!chain || position >= chain->size() || !processor_type((*chain)[position].type)) return;
    const Processor& p = (*chain)[position];
    const bool in = !p.in;
    const QString word = QString::fromStdString(word_of(p.type)),
                  name = in ? tr("%1 on").arg(word) : tr("%1 bypassed").arg(word);
    const uint64_t gesture = work_.document.new_gesture();
    const MaterialPtr with = shaped(row);
    const bool matched = !in && p.match && with;
    // At once by what the processor did to the power of what passed through it; by loudness as soon as that is known.
    const double match_db = matched ? match_by_power(*signal_of(with), position).value_or(p.match_db) : p.match_db;
    const auto set = [this, row, id = p.id, in, name, gesture](double db) {
        set_chains(
            {row}, name,
            [&](Chain& c) {
                for (Processor& now : c)
                    if (now.id == id) now.in = in, now.match_db = db;
            },
            gesture);
    };
    set(match_db);
    if (!matched) return;
    const auto make = [without = recipe_without(*signal_of(with), position)](Progress& progress) {
        return make_signal(without, &progress);
    };
    jobs_.start(make, [this, row, id = p.id, set, gesture, with](const Result<MaterialPtr>& without) {
        const auto db = without ? match_by_loudness(with->measurement, (*without)->measurement) : std::nullopt;
        // Only when nothing else was done meanwhile: a step of the past is not touched.
        const Processor* now = find_processor(work_.document.session().chain_of(row), id);
        if (db && now && !now->in && work_.document.is_last_gesture(gesture)) set(*db);
    });
}

void Editing::set_send(TrackId row, TrackId bus, const std::function<void(Send&)>& change, uint64_t gesture) {
    const Session& s = work_.document.session();
    auto next = with_send(s, row, bus, change);
    if (!next) {
        work_.prompter->complain(QString::fromStdString(next.error().what));
        return;
    }
    work_.document.edit(
        tr("Send %1 to %2").arg(QString::fromStdString(s.name_of(row)), QString::fromStdString(s.name_of(bus))),
        std::move(*next), gesture);
}

void Editing::make_return(const std::vector<TrackId>& rows, const QString& name, const Chain& chain, double send_db,
                          double fader_db) {
    const Session& s = work_.document.session();
    QString free = name;
    for (int n = 2;
         std::any_of(s.buses.begin(), s.buses.end(), [&](const Bus& b) { return b.name == free.toStdString(); }); ++n)
        free = tr("%1 %2").arg(name).arg(n);
    TrackId bus = 0;
    Session next = with_new_return(s, free.toStdString(), rows, {.level_db = send_db}, copied(chain, {}), &bus);
    next = with_bus(next, bus, [fader_db](Bus& b) { b.fader_db = fader_db; });
    work_.document.edit(tr("Send %n track(s) to a new return '%1'", nullptr, static_cast<int>(rows.size())).arg(free),
                        std::move(next));
}

void Editing::bypass_chain(TrackId row) {
    const Session& session = work_.document.session();
    const Chain* chain = session.chain_of(row);
    if (!chain || chain->empty()) return;
    const bool out = !session.is_chain_out(row);
    // Those that are selected with it go along.
    const auto rows = session.find(row) ? work_.document.moved_with(row) : std::vector{row};
    Session next = session;
    for (const TrackId id : rows) next = with_channel(next, id, [out](const ChannelEdit& c) { *c.chain_out = out; });
    work_.document.edit(out ? tr("Bypass %n chain(s)", nullptr, static_cast<int>(rows.size()))
                            : tr("%n chain(s) on", nullptr, static_cast<int>(rows.size())),
                        std::move(next));
}

void Editing::bypass_all_chains() {
    Session next = work_.document.session();
    next.chains_out = !next.chains_out;
    work_.document.edit(next.chains_out ? tr("Bypass all chains") : tr("All chains on"), std::move(next));
}

void Editing::make_bus() {
    const std::vector<TrackId> rows = rows_meant();
    if (rows.empty()) return;
    const auto shared = family_of_selection();
    const QString name = shared ? family_word(*shared) : tr("bus %1").arg(work_.document.session().buses.size() + 1);
    work_.document.edit(tr("Bus '%1' of %n track(s)", nullptr, static_cast<int>(rows.size())).arg(name),
                        with_new_bus(work_.document.session(), name.toStdString(), shared, rows));
}

void Editing::make_group() {
    const std::vector<TrackId> rows = rows_meant();
    if (rows.empty()) return;
    const auto shared = family_of_selection();
    const QString name = shared ? family_word(*shared) : tr("group %1").arg(work_.document.session().groups.size() + 1);
    work_.document.edit(tr("Group '%1' of %n track(s)", nullptr, static_cast<int>(rows.size())).arg(name),
                        with_new_group(work_.document.session(), name.toStdString(), shared, rows));
}

void Editing::lead_to(const std::vector<TrackId>& ids, TrackId output) {
    auto next = with_output(work_.document.session(), ids, output);
    if (!next) {
        work_.prompter->complain(QString::fromStdString(next.error().what));
        return;
    }
    const QString to =
        output == main_output ? tr("main output") : QString::fromStdString(work_.document.session().name_of(output));
    work_.document.edit(tr("Output to %1").arg(to), std::move(*next));
}

void Editing::remove_bus_or_group(TrackId id) {
    std::vector<std::string> told;
    Session next = without_bus_or_group(work_.document.session(), id, &told);
    work_.document.edit(work_.document.session().find_bus(id) ? tr("Remove the bus") : tr("Remove the group"),
                        std::move(next));
    tell(told);
}

void Editing::remove_tracks(const std::vector<TrackId>& ids) {
    std::vector<std::string> told;
    Session next = without_tracks(work_.document.session(), ids, &told);
    work_.document.edit(tr("Remove tracks"), std::move(next));
    tell(told);
}

void Editing::tell(const std::vector<std::string>& sentences) {
    QStringList all;
    for (const std::string& s : sentences) all << QString::fromStdString(s);
    if (!all.isEmpty()) emit work_.view.hint(all.join("; "));
}

void Editing::mirror_pans() {
    const auto ids = work_.document.selected();
    Session next = work_.document.session();
    for (size_t i = 0; i + 1 < ids.size(); i += 2) {
        const double pan = work_.document.track(ids[i])->pan;
        next = with_track(next, ids[i + 1], [pan](Track& t) { t.pan = -pan; });
    }
    if (ids.size() < 2)
        emit work_.view.hint(
            tr("Select pairs of tracks: the second of each pair gets the pan of the first, mirrored."));
    else
        work_.document.edit(tr("Mirror pans"), std::move(next));
}

void Editing::spread_pans() {
    const auto ids = work_.document.selected();
    if (ids.size() < 2) {
        emit work_.view.hint(tr("Select several tracks first: their pans are spread evenly from left to right."));
        return;
    }
    double reach = 0.0;
    for (const TrackId id : ids) reach = std::max(reach, std::fabs(work_.document.track(id)->pan));
    if (reach < 0.05) reach = 0.35;  // common practice, no source
    Session next = work_.document.session();
    for (size_t i = 0; i < ids.size(); ++i) {
        const double pan = reach * (2.0 * static_cast<double>(i) / static_cast<double>(ids.size() - 1) - 1.0);
        next = with_track(next, ids[i], [pan](Track& t) { t.pan = pan; });
    }
    work_.document.edit(tr("Spread the pans of %n track(s)", nullptr, static_cast<int>(ids.size())), std::move(next));
}

void Editing::ask_others_down(const std::vector<TrackId>& kept) {
    const auto n = work_.prompter->ask_numbers(tr("All other faders down"), {{tr("by, dB"), 3.0, 0.1, 40.0, 1}});
    if (!n) return;
    const double by_db = (*n)[0];
    std::vector<TrackId> others;
    for (const auto& t : work_.document.session().tracks)
        if (!is_among(kept, t->id) && std::isfinite(t->fader_db)) others.push_back(t->id);
    if (others.empty()) return;
    work_.document.edit_tracks(tr("All other faders %1").arg(db_text(-by_db, "dB", true)), others,
                               [by_db](Track& t) { t.fader_db = fader_moved(t.fader_db, -by_db); });
}

void Editing::toggle(Flag flag, TrackId id) {
    const QString name = QString::fromStdString(work_.document.session().name_of(id));
    work_.document.edit(flag == Flag::mute ? tr("Mute %1").arg(name) : tr("Solo %1").arg(name),
                        with_channel(work_.document.session(), id, [flag](const ChannelEdit& c) {
                            bool& on = *(flag == Flag::mute ? c.mute : c.solo);
                            on = !on;
                        }));
}

void Editing::all_off(Flag flag) {
    const auto off = [flag](auto& row) { (flag == Flag::mute ? row.mute : row.solo) = false; };
    if (how_many(work_.document.session(), flag) == 0) return;
    Session next = work_.document.session();
    for (const auto& t : work_.document.session().tracks)
        if (flag == Flag::mute ? t->mute : t->solo) next = with_track(next, t->id, off);
    for (Bus& bus : next.buses.change()) off(bus);
    for (ControlGroup& group : next.groups.change()) off(group);
    work_.document.edit(flag == Flag::mute ? tr("All mutes off") : tr("All solos off"), std::move(next));
}

int Editing::how_many(const Session& session, Flag flag) {
    const auto on = [flag](const auto& row) { return flag == Flag::mute ? row.mute : row.solo; };
    return static_cast<int>(
        std::count_if(session.tracks.begin(), session.tracks.end(), [&](const auto& t) { return on(*t); }) +
        std::count_if(session.buses.begin(), session.buses.end(), on) +
        std::count_if(session.groups.begin(), session.groups.end(), on));
}

void Editing::solo_alone(const std::vector<TrackId>& ids) {
    if (ids.empty()) return;
    Session next = work_.document.session();
    for (const auto& t : work_.document.session().tracks) {
        const bool on = std::find(ids.begin(), ids.end(), t->id) != ids.end();
        if (t->solo != on) next = with_track(next, t->id, [on](Track& track) { track.solo = on; });
    }
    for (Bus& b : next.buses.change()) b.solo = false;
    for (ControlGroup& g : next.groups.change()) g.solo = false;
    work_.document.edit(tr("Solo only %1").arg(QString::fromStdString(next.name_of(ids.front()))), std::move(next));
}

void Editing::all_trims_to_0() {
    std::vector<TrackId> ids;
    for (const auto& t : work_.document.session().tracks)
        if (t->trim_db != 0.0 && !t->locked) ids.push_back(t->id);
    if (!ids.empty()) work_.document.edit_tracks(tr("All trims to 0"), ids, [](Track& t) { t.trim_db = 0.0; });
}

void Editing::stage_without(const std::vector<TrackId>& ids, std::optional<LeftOut> stretch) {
    if (ids.empty()) return;
    const uint64_t gesture = work_.document.new_gesture();
    const QString name = stretch ? tr("Stage without %1 … %2").arg(time_text(stretch->from_s), time_text(stretch->to_s))
                                 : tr("Stage with the whole song");
    work_.document.edit_tracks(
        name, ids, [&](Track& t) { t.staged_without = stretch; }, gesture);
    stage_when_measured(ids, name, gesture);
}

void Editing::move_anchor(TrackId id, int by) {
    Session next = with_anchor_moved(work_.document.session(), id, by);
    if (next.anchor_order != work_.document.session().anchor_order)
        work_.document.edit(tr("Order of the anchors"), std::move(next));
}

void Editing::set_ride_out(TrackId row, Parameter parameter, bool out) {
    const QString name = (out ? tr("Bypass the ride of %1") : tr("Ride of %1 on"))
                             .arg(QString::fromStdString(work_.document.session().name_of(row)));
    work_.document.edit(
        name, with_rides(work_.document.session(), row, [&](Rides& rides) { rides.set_out(parameter, out); }));
}

void Editing::add_section(double time_s) {
    const QString given = tr("section %1").arg(work_.document.session().sections.size() + 1);
    const auto name =
        work_.prompter->ask_text(tr("New section"), tr("Name of the section at %1").arg(time_text(time_s, 2)), given);
    if (!name) return;
    work_.document.edit(tr("Section %1 at %2").arg(*name, time_text(time_s, 2)),
                        with_section(work_.document.session(), {name->toStdString(), std::max(0.0, time_s), 0}));
}

void Editing::rename_section(int section) {
    const std::string& before = work_.document.session().sections[static_cast<size_t>(section)].name;
    const auto name = work_.prompter->ask_text(tr("Rename the section"), tr("Name"), QString::fromStdString(before));
    if (!name) return;
    Session next = work_.document.session();
    next.sections.change()[static_cast<size_t>(section)].name = name->toStdString();
    work_.document.edit(tr("Rename section to %1").arg(*name), std::move(next));
}

void Editing::add_note(double time_s) {
    const auto text =
        work_.prompter->ask_text(tr("Listening note"), tr("Text of the note at %1").arg(time_text(time_s)), QString());
    if (!text || text->trimmed().isEmpty()) return;
    ListeningNote note;
    note.time_s = std::max(0.0, time_s);
    note.text = text->trimmed().toStdString();
    if (const Playback by = work_.player.monitor().playback; by != Playback::none)
        note.heard_on = playback_names[static_cast<size_t>(by)];
    note.made = QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
    Session next = work_.document.session();
    next.notes.push_back(std::move(note));
    sort_notes(next.notes.change());
    work_.document.edit(tr("Note at %1").arg(time_text(time_s)), std::move(next));
}

void Editing::change_note(size_t n, const QString& name, const std::function<void(ListeningNote&)>& change) {
    Session next = work_.document.session();
    if (n >= next.notes.size()) return;
    change(next.notes.change()[n]);
    sort_notes(next.notes.change());
    work_.document.edit(name, std::move(next));
}

void Editing::remove_note(size_t n) {
    Session next = work_.document.session();
    if (n >= next.notes.size()) return;
    const QString name = tr("Remove the note at %1").arg(time_text(next.notes[n].time_s));
    auto& notes = next.notes.change();
    notes.erase(notes.begin() + static_cast<std::ptrdiff_t>(n));
    work_.document.edit(name, std::move(next));
}

}  // namespace isotonus
