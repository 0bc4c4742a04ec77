#include "app/desk/player.h"

#include <cmath>

#include "core/mix/sum_of_rows.h"
#include "core/session/routing.h"

namespace isotonus {

Player::Player(Document& document, Materials& materials, MatchedBypass& bypasses, QObject* parent)
    : QObject(parent),
      document_(document),
      materials_(materials),
      bypasses_(bypasses),
      plan_(std::make_shared<RenderPlan>()),
      heard_(plan_) {
    connect(&document_, &Document::session_changed, this, &Player::follow_session);
    // Many files come in at once when a session opens: one plan for all of them.
    recompile_.setSingleShot(true);
    recompile_.setInterval(250);
    connect(&recompile_, &QTimer::timeout, this, &Player::follow_session);
    connect(&materials_, &Materials::changed, &recompile_, [this] {
        if (!recompile_.isActive()) recompile_.start();
    });
    connect(&materials_, &Materials::finished, this, &Player::follow_session);
    connect(&materials_, &Materials::reshaped, this, &Player::follow_session);
    connect(&bypasses_, &MatchedBypass::changed, this, &Player::send_plan);
    connect(&document_, &Document::file_changed, this, [this] {
        if (document_.session().tracks.empty()) engine_.stop();
    });
    timer_.setTimerType(Qt::PreciseTimer);
    timer_.setInterval(16);
    connect(&timer_, &QTimer::timeout, this, &Player::tick);
    timer_.start();
    since_tick_.start();
    since_watch_.start();
}

void Player::open_device(const QString& name, int block_frames) {
    block_frames_ = block_frames;
    const auto opened = engine_.open(name.toStdString(), document_.session().sample_rate, block_frames);
    if (!opened)
        emit message(
            tr("%1 The simulated device keeps time instead.").arg(QString::fromStdString(opened.error().text())));
    emit device_changed();
}

MaterialPtr Player::sum_of(TrackId bus) const {
    MaterialPtr& sum = sums_[bus];
    if (!sum && bus == main_output)
        sum = sum_of_rows(bare_);
    else if (!sum)
        if (const auto tap = tap_of_sum(document_.session(), bus, materials_.known())) sum = tap->material;
    return sum;
}

QString Player::device_name() const {
    return engine_.device() ? QString::fromStdString(engine_.device()->sounding()) : QString();
}

void Player::follow_session() {
    recompile_.stop();
    const MixPlans plans = compile_mix_plans(document_.session(), materials_.known(), Solo::left_out);
    // A chain that is being worked out changes nothing that is known yet: pictures and figures of the plan stay.
    const bool same = materials_.shaping() && plan_->sounds_like(*plans.finished) && bare_->sounds_like(*plans.bare);
    if (!same) plan_ = plans.finished, bare_ = plans.bare, sums_.clear();
    if (engine_.device() && engine_.sample_rate() != document_.session().sample_rate)
        open_device(wanted_device(), block_frames_);
    std::erase_if(listened_, [this](TrackId id) { return !document_.track(id); });
    send_plan();
    if (live_.sample_rate() != document_.session().sample_rate) live_ = LiveMix(document_.session().sample_rate);
    forward_loop();
    if (!same) emit plan_changed();
    const bool was_coming = coming_ != nullptr;
    coming_ = materials_.shaping()
                  ? compile_plan(document_.session(), materials_.heard(document_.session()), Solo::left_out)
                  : nullptr;
    if (coming_ || was_coming) emit coming_changed();
}

namespace {

/// A track alone, its low end still kept in the centre.
Session with_low_end_alone(const Session& session, TrackId id) {
    const double hz = session.find(id)->mono_below_hz;
    return with_track(with_track_alone(session, id), id, [hz](Track& t) { t.mono_below_hz = hz; });
}

/// Only the bands that are kept in the centre.
PlanPtr low_end_of(const RenderPlan& plan) {
    auto low = std::make_shared<RenderPlan>(plan);
    for (PlanPart& p : low->parts)
        if (p.band != Band::low) p.silence_it();
    return low;
}

}  // namespace

PlanPtr Player::heard_plan() const {
    const Session session = bypasses_.heard(instead_ ? *instead_ : document_.session());
    const MaterialOf material = materials_.heard(session);
    PlanPtr plan;
    if (hearing_ == Hearing::at_rest)
        plan = compile_plan(with_mix_at_rest(session), material);
    else if (hearing_ == Hearing::track && session.find(heard_id_))
        plan = compile_plan(with_track_alone(session, heard_id_), material);
    else if (hearing_ == Hearing::low_end && session.find(heard_id_))
        plan = low_end_of(*compile_plan(with_low_end_alone(session, heard_id_), material));
    else if (hearing_ == Hearing::under && !rest_dimmed_)
        plan = compile_plan(with_row_alone(session, heard_id_), material);
    else
        plan = compile_plan(session, material);
    if (hearing_ == Hearing::under && rest_dimmed_)
        plan = plan_listening(*plan, session, channels_under(session, heard_id_), true);
    if (!listened_.empty()) plan = plan_listening(*plan, session, listened_, listened_where_ == Listen::after_fader);
    return with_compared(plan);
}

void Player::send_plan() {
    heard_ = heard_plan();
    engine_.set_plan(heard_);
}

/// Recordings play along silently, so that changing over needs no reading and leaves no gap.
PlanPtr Player::with_compared(PlanPtr plan) const {
    if (compared_.empty() && !less_) return plan;
    auto next = std::make_shared<RenderPlan>(*plan);
    if (compared_heard_) {
        next->main_gain = 1.0;
        next->main = {};
        for (PlanPart& p : next->parts) p.silence_it();
    }
    constexpr TrackId first_id = TrackId{1} << 60;
    const auto add = [&](size_t index, const Compared& recording, double gain) {
        PlanTrack t;
        PlanPart p;
        t.id = first_id + index;
        t.material = p.material = recording.material;
        p.channels = p.material->channels();
        p.frames = p.material->frames();
        p.delay_samples = -std::llround(recording.starts_s * plan->sample_rate);
        p.level = gain;
        t.fader_gain = p.level;
        // A mono recording is heard on both sides as it is.
        p.gains = p.to_main = scaled(p.channels == 1 ? pan_mono(PanLaw::balance, 0.0) : GainMatrix{}, p.level);
        next->add(std::move(t), std::move(p));
    };
    for (size_t i = 0; i < compared_.size(); ++i) add(i, compared_[i], compared_heard_ == i ? compared_[i].gain : 0.0);
    if (less_ && !compared_heard_) add(compared_.size(), *less_, -less_->gain);
    return next;
}

void Player::set_compared(std::vector<Compared> recordings, double matched_db) {
    MonitorSettings lowered = monitor();
    const bool louder = matched_db > lowered.matched_db, same_level = matched_db == lowered.matched_db;
    lowered.matched_db = matched_db;
    // Lowered before anything is turned up, and raised after it was turned down: nothing clips in between.
    if (!louder && !same_level) set_monitor(lowered);
    if (recordings != compared_) {
        compared_ = std::move(recordings);
        if (compared_heard_ && *compared_heard_ >= compared_.size()) compared_heard_.reset();
        send_plan();
    }
    if (louder) set_monitor(lowered);
}

void Player::hear_compared(std::optional<size_t> which) {
    if (which && *which >= compared_.size()) which.reset();
    compared_heard_ = which;
    send_plan();
    emit hearing_changed();
}

void Player::hear(Hearing what, TrackId id) {
    if (hearing_ == what && heard_id_ == id) return;
    hearing_ = what;
    heard_id_ = id;
    send_plan();
    emit hearing_changed();
}

void Player::hear_instead(std::shared_ptr<const Session> session) {
    if (!session && !instead_) return;
    instead_ = std::move(session);
    less_.reset();
    send_plan();
}

void Player::hear_difference(std::shared_ptr<const Session> session, const Compared& less) {
    instead_ = std::move(session);
    less_ = less;
    send_plan();
}

void Player::solo_bus(TrackId id) {
    if (hearing_ == Hearing::under && heard_id_ == id)
        hear(Hearing::mix);
    else
        hear(Hearing::under, id);
}

void Player::set_monitor(const MonitorSettings& settings) {
    engine_.set_monitor(settings);
    emit hearing_changed();
}

void Player::listen_to(std::vector<TrackId> ids, Listen where) {
    listened_ = std::move(ids);
    listened_where_ = where;
    send_plan();
    emit hearing_changed();
}

void Player::hear_at_rest(bool on) { hear(on ? Hearing::at_rest : Hearing::mix); }

void Player::hear_track(TrackId id, double from_s) {
    hear(Hearing::track, id);
    locate(from_s);
    if (!engine_.playing()) engine_.play();
}

void Player::hear_low_end(TrackId id) {
    hear(Hearing::low_end, id);
    if (!engine_.playing()) engine_.play();
}

void Player::set_rest_dimmed(bool on) {
    if (std::exchange(rest_dimmed_, on) == on) return;
    send_plan();
    emit hearing_changed();
}

double Player::position_s() const { return static_cast<double>(engine_.position()) / document_.session().sample_rate; }

void Player::toggle_playing() {
    if (engine_.playing()) {
        engine_.stop();
        // Stopped before a tick has seen it play: back to the mix all the same, once the fade-out is over.
        QTimer::singleShot(100, this, [this] {
            if (one_track() && !engine_.playing()) hear(Hearing::mix);
        });
        return;
    }
    if (plan_->frames == 0) return;
    if (engine_.position() >= plan_->frames) engine_.locate(0);
    engine_.play();
}

void Player::locate(double time_s) {
    const double length_s = plan_->duration_s();
    engine_.locate(std::llround(std::clamp(time_s, 0.0, length_s) * document_.session().sample_rate));
    emit moved();
}

void Player::set_loop(const Loop& loop) {
    loop_ = loop;
    forward_loop();
    emit loop_changed();
}

void Player::forward_loop() {
    const double rate = document_.session().sample_rate;
    if (loop_.on && loop_.to_s > loop_.from_s)
        engine_.set_loop(std::llround(loop_.from_s * rate),
                         std::min(plan_->frames, static_cast<int64_t>(std::llround(loop_.to_s * rate))));
    else
        engine_.set_loop(0, 0);
}

void Player::reset_meters() {
    meters_.reset_all();
    live_ = LiveMix(document_.session().sample_rate);
    emit levels_changed();
}

void Player::reset_meter(TrackId id) {
    if (auto* bars = meters_.find(id)) bars->after_trim.reset(), bars->after_fader.reset();
    emit levels_changed();
}

void Player::reset_main_meter() {
    for (auto& bar : meters_.main) bar.reset();
    live_ = LiveMix(document_.session().sample_rate);
    emit levels_changed();
}

void Player::tick() {
    const double elapsed_s = static_cast<double>(since_tick_.nsecsElapsed()) * 1e-9;
    since_tick_.restart();
    const LiveLevels levels = engine_.levels();
    engine_.take_mix(played_);
    live_.add(played_.data(), static_cast<int64_t>(played_.size() / 2));
    const bool falling = meters_.main[0].level_db > silence_db || meters_.main[1].level_db > silence_db ||
                         std::any_of(meters_.tracks.begin(), meters_.tracks.end(),
                                     [](const auto& t) { return t.after_trim.level_db > silence_db; });
    if (levels.any || falling) {
        // What is compared passes the meter, but what the mix reached so far stays the mix's.
        const std::array mix{meters_.main[0], meters_.main[1]};
        meters_.advance(*heard_, levels, elapsed_s);
        for (size_t side = 0; compared_heard_ && side < mix.size(); ++side) {
            meters_.main[side].highest_db = mix[side].highest_db;
            meters_.main[side].clipped = mix[side].clipped;
        }
        emit levels_changed();
    }
    const double position = position_s();
    const bool playing = engine_.playing();
    if (position != last_position_s_ || playing != last_playing_) {
        last_position_s_ = position;
        if (last_playing_ && !playing && one_track()) hear(Hearing::mix);
        last_playing_ = playing;
        emit moved();
    }
    if (since_watch_.elapsed() < 200) return;
    since_watch_.restart();
    if (const auto lost = engine_.watch()) {
        emit message(QString::fromStdString(*lost));
        emit device_changed();
    }
    const QString trouble = QString::fromStdString(engine_.trouble());
    if (trouble != last_trouble_ && !trouble.isEmpty()) emit message(trouble);
    last_trouble_ = trouble;
}

}  // namespace isotonus
