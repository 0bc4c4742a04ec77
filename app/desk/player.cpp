#include "app/desk/player.h"

#include <cmath>

namespace isotonus {

Player::Player(Document& document, Materials& materials, QObject* parent)
    : QObject(parent), document_(document), materials_(materials), plan_(std::make_shared<RenderPlan>()) {
    connect(&document_, &Document::session_changed, this, &Player::follow_session);
    // Many files come in at once when a session opens: one plan for all of them.
    recompile_.setSingleShot(true);
    recompile_.setInterval(250);
    connect(&recompile_, &QTimer::timeout, this, &Player::follow_session);
    connect(&materials_, &Materials::changed, &recompile_, [this] {
        if (!recompile_.isActive()) recompile_.start();
    });
    connect(&materials_, &Materials::finished, this, &Player::follow_session);
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
    wanted_device_ = name;
    block_frames_ = block_frames;
    const auto opened = engine_.open(name.toStdString(), document_.session().sample_rate, block_frames);
    if (!opened)
        emit message(
            tr("%1. The simulated device keeps time instead.").arg(QString::fromStdString(opened.error().text())));
    emit device_changed();
}

QString Player::device_name() const {
    return engine_.device() ? QString::fromStdString(engine_.device()->name()) : QString();
}

void Player::follow_session() {
    recompile_.stop();
    plan_ = compile_plan(document_.session(), [this](const Track& t) { return materials_.of(t); });
    if (engine_.device() && engine_.sample_rate() != document_.session().sample_rate)
        open_device(wanted_device_, block_frames_);
    engine_.set_plan(plan_);
    forward_loop();
    emit plan_changed();
}

double Player::position_s() const { return static_cast<double>(engine_.position()) / document_.session().sample_rate; }

void Player::toggle_playing() {
    if (engine_.playing()) {
        engine_.stop();
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
    emit levels_changed();
}

void Player::reset_meter(TrackId id) {
    if (auto* bars = meters_.find(id)) bars->after_trim.reset(), bars->after_fader.reset();
    emit levels_changed();
}

void Player::reset_main_meter() {
    for (auto& bar : meters_.main) bar.reset();
    emit levels_changed();
}

void Player::tick() {
    const double elapsed_s = static_cast<double>(since_tick_.nsecsElapsed()) * 1e-9;
    since_tick_.restart();
    const LiveLevels levels = engine_.levels();
    const bool falling = meters_.main[0].level_db > silence_db || meters_.main[1].level_db > silence_db ||
                         std::any_of(meters_.tracks.begin(), meters_.tracks.end(),
                                     [](const auto& t) { return t.after_trim.level_db > silence_db; });
    if (levels.any || falling) {
        meters_.advance(*plan_, levels, elapsed_s);
        emit levels_changed();
    }
    const double position = position_s();
    const bool playing = engine_.playing();
    if (position != last_position_s_ || playing != last_playing_) {
        last_position_s_ = position;
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
