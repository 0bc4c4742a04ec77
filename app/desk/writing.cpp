#include "app/desk/writing.h"

#include "app/desk/ride_menu.h"
#include "core/session/channel.h"

namespace isotonus {

Writing::Writing(Document& document, Player& player, QObject* parent)
    : QObject(parent), document_(document), player_(player) {
    connect(&player_, &Player::moved, this, &Writing::follow);
}

WriteMode Writing::mode(TrackId row) const {
    const auto own = modes_.find(row);
    return own == modes_.end() ? all_ : own->second;
}

void Writing::set_mode(TrackId row, WriteMode mode) {
    modes_[row] = mode;
    emit changed();
}

void Writing::set_mode_for_all(WriteMode mode) {
    modes_.clear();
    all_ = mode;
    emit changed();
}

RideWriter* Writing::begin(TrackId row, Parameter parameter) {
    const Session& session = document_.session();
    const Rides* rides = session.rides_of(row);
    if (!rides || !writes(row) || !can_be_ridden(session.row_kind(row), parameter)) return nullptr;
    Pass& pass = passes_[{row, parameter}];
    if (!pass.writer) {
        WriteOptions options;
        options.mode = mode(row);
        options.return_s = return_s;
        // In write mode a pass begins where the song did.
        pass.writer = std::make_unique<RideWriter>((*rides)[parameter], info_of(parameter), options,
                                                   options.mode == WriteMode::write ? start_s_ : player_.position_s(),
                                                   own_value(session, row, parameter));
    }
    return pass.writer.get();
}

void Writing::touch(TrackId row, Parameter parameter, double value) {
    if (RideWriter* writer = begin(row, parameter)) {
        writer->touch(player_.position_s(), value);
        hear();
    }
}

void Writing::move(TrackId row, Parameter parameter, double value) {
    if (RideWriter* writer = begin(row, parameter)) {
        writer->move(player_.position_s(), value);
        hear();
    }
}

void Writing::release(TrackId row, Parameter parameter) {
    const auto pass = passes_.find({row, parameter});
    if (pass == passes_.end() || !pass->second.writer->held()) return;
    pass->second.writer->release(player_.position_s());
    hear();
}

void Writing::tap(TrackId row, Parameter parameter, double value) {
    move(row, parameter, value);
    const auto pass = passes_.find({row, parameter});
    if (pass == passes_.end()) return;
    if (!pass->second.let_go) {
        auto* timer = new QTimer(this);
        timer->setSingleShot(true);
        timer->setInterval(400);
        connect(timer, &QTimer::timeout, this, [this, row, parameter] { release(row, parameter); });
        pass->second.let_go = timer;
    }
    pass->second.let_go->start();
}

bool Writing::held(TrackId row, Parameter parameter) const {
    const RideWriter* w = writer(row, parameter);
    return w && w->held();
}

double Writing::value_now(TrackId row, Parameter parameter) const {
    const double now = player_.position_s();
    if (const RideWriter* w = writer(row, parameter)) return w->value_at(now);
    const Rides* rides = document_.session().rides_of(row);
    const CurvePtr curve = rides ? rides->heard(parameter) : nullptr;
    return curve && !document_.session().rides_bypassed ? curve->value_at(now)
                                                        : own_value(document_.session(), row, parameter);
}

bool Writing::is_ridden(TrackId row, Parameter parameter) const {
    if (writer(row, parameter)) return true;
    const Session& session = document_.session();
    const Rides* rides = session.rides_of(row);
    return rides && !session.rides_bypassed && rides->heard(parameter);
}

double Writing::added_now(TrackId row) const {
    return is_ridden(row, Parameter::level) ? value_now(row, Parameter::level) : 0.0;
}

bool Writing::is_muted_now(TrackId row) const {
    const Channel channel = channel_of(document_.session(), row);
    return (channel.mute && *channel.mute) ||
           (is_ridden(row, Parameter::mute) && value_now(row, Parameter::mute) >= 0.5);
}

const Chain* Writing::chain_now(TrackId row) const {
    const Session& session = document_.session();
    const Chain* own = session.chain_of(row);
    const Rides* rides = session.rides_of(row);
    if (!own || !rides || (!rides->any() && passes_.empty())) return own;
    chain_now_ = *own;
    const auto set = [&](Parameter p) {
        if (p.processor() == 0 || !is_ridden(row, p)) return;
        for (Processor& processor : chain_now_)
            if (processor.id == p.processor()) set_value(processor, p.info(), value_now(row, p));
    };
    for (const auto& [parameter, curve] : rides->all()) set(parameter);
    for (const auto& [control, pass] : passes_)
        if (control.first == row) set(control.second);
    return &chain_now_;
}

Send Writing::send_now(TrackId row, const Send& send) const {
    Send now = send;
    const auto of = [&](const ParameterInfo& info) -> std::optional<double> {
        const Parameter p = Parameter::of_send(info, send.id);
        return is_ridden(row, p) ? std::optional(value_now(row, p)) : std::nullopt;
    };
    if (const auto level = of(send_parameters::level))
        now.level_db = *level <= send_parameters::level.low ? silence_db : *level;
    if (const auto pan = of(send_parameters::pan)) now.own_pan = true, now.pan = *pan;
    if (const auto in = of(send_parameters::in)) now.in = *in >= 0.5;
    return now;
}

const RideWriter* Writing::writer(TrackId row, Parameter parameter) const {
    const auto pass = passes_.find({row, parameter});
    return pass == passes_.end() ? nullptr : pass->second.writer.get();
}

bool Writing::any() const {
    return std::any_of(passes_.begin(), passes_.end(), [](const auto& p) { return p.second.writer->any(); });
}

void Writing::follow() {
    const bool playing = player_.playing();
    const double now = player_.position_s();
    if (playing && (!was_playing_ || now < last_s_)) {
        if (was_playing_) finish(last_s_);  // the loop began anew, or somebody jumped
        start_s_ = now;
        // Rows in write mode write from here on.
        for (const auto& track : document_.session().tracks)
            if (mode(track->id) == WriteMode::write && modes_.contains(track->id)) begin(track->id, Parameter::level);
    } else if (!playing && was_playing_) {
        finish(last_s_);
    }
    was_playing_ = playing;
    last_s_ = now;
    if (any()) emit changed();
}

void Writing::finish(double time_s) {
    auto passes = std::move(passes_);
    passes_.clear();
    Session next = document_.session();
    QString name;
    int written = 0;
    for (auto& [control, pass] : passes) {
        delete pass.let_go;
        if (!pass.writer->any()) continue;
        next = with_ride(next, control.first, control.second, pass.writer->finished(time_s));
        name = tr("Write %1 of %2")
                   .arg(parameter_word(control.second), QString::fromStdString(next.name_of(control.first)));
        ++written;
    }
    player_.hear_instead(nullptr);
    if (written > 0) document_.edit(written == 1 ? name : tr("Write %n ride(s)", nullptr, written), std::move(next));
    emit changed();
}

/// The song as it is with what was written so far; what is held goes on.
void Writing::hear() {
    auto session = std::make_shared<Session>(document_.session());
    for (const auto& [control, pass] : passes_)
        if (pass.writer->any())
            *session = with_ride(*session, control.first, control.second, pass.writer->so_far(player_.position_s()));
    player_.hear_instead(session);
    emit changed();
}

}  // namespace isotonus
