#include "app/desk/fader_link.h"

#include "app/desk/ride_menu.h"

#include <QThread>
#include <cmath>

#include "app/desk/workspace.h"
#include "app/style/text.h"

namespace isotonus {

FaderLink::FaderLink(Workspace& work) : work_(work) {
    motors_.setInterval(33);
    connect(&motors_, &QTimer::timeout, this, &FaderLink::tell_motors);
}

FaderLink::~FaderLink() {
    if (port_) port_->on_message({});
}

QStringList FaderLink::devices() {
    QStringList names;
    for (const std::string& name : midi_inputs()) names << QString::fromStdString(name);
    return names;
}

bool FaderLink::open(const QString& device) {
    auto opened = open_midi(device.toStdString());
    if (!opened) {
        emit message(QString::fromStdString(opened.error().text()));
        return false;
    }
    use(*opened, device);
    return true;
}

void FaderLink::use(std::shared_ptr<MidiPort> port, const QString& name) {
    if (port_) port_->on_message({});
    port_ = std::move(port);
    device_ = name;
    heard_.clear();
    pickups_.clear();
    touched_.clear();
    // The device's own thread calls: the rest happens on ours.
    if (port_)
        port_->on_message([this](const MidiBytes& bytes) {
            if (QThread::currentThread() == thread())
                receive(bytes);
            else
                QMetaObject::invokeMethod(this, [this, bytes] { receive(bytes); });
        });
    motors_.start();
    emit changed();
}

std::shared_ptr<MidiPort> FaderLink::plug_box() {
    auto [ours, theirs] = midi_pair();
    use(ours, tr("simulated fader box"));
    for (int n = 0; n < FaderBox::faders; ++n)  // it has motors, and is told from the start where to stand
        for (const FaderSpeech speech : {FaderSpeech::pitch_bend, FaderSpeech::control_14, FaderSpeech::control_7})
            heard_[FaderBox::address(speech, n)];
    return theirs;
}

void FaderLink::learn(Target target) {
    learning_ = target;
    emit work_.view.hint(tr("Move a fader of the box: it will control %1 of %2.")
                             .arg(parameter_word(target.parameter),
                                  QString::fromStdString(work_.document.session().name_of(target.row))));
    emit changed();
}

std::vector<TrackId> FaderLink::rows() const {
    const Session& s = work_.document.session();
    std::vector<TrackId> ids;
    for (const auto& t : s.tracks) ids.push_back(t->id);
    for (const Bus& b : s.buses) ids.push_back(b.id);
    for (const ControlGroup& g : s.groups) ids.push_back(g.id);
    ids.push_back(main_output);
    return ids;
}

void FaderLink::set_bank(int first) {
    bank_ = std::clamp(first, 0, std::max(0, static_cast<int>(rows().size()) - 1));
    pickups_.clear();
    emit changed();
}

std::optional<FaderLink::Target> FaderLink::target(const FaderAddress& address) const {
    if (const auto own = learned_.find(address); own != learned_.end()) return own->second;
    const bool volume = address.speech == FaderSpeech::pitch_bend || address.control == 7;
    const auto all = rows();
    const auto index = static_cast<size_t>(bank_ + address.channel);
    if (!volume || address.channel >= FaderBox::faders || index >= all.size()) return std::nullopt;
    return Target{all[index], Parameter::level};
}

double FaderLink::position(const Target& t) const {
    const double value = work_.writing.value_now(t.row, t.parameter);
    if (t.parameter != Parameter::level) return position_of(t.parameter, value);
    return fader_position(work_.edits.fader_db(t.row) + value);
}

void FaderLink::receive(const MidiBytes& bytes) {
    if (const auto touch = FaderMidiReader::touch(bytes)) {
        flush_coarse();
        touched_[touch->fader] = touch->on;
        // Which target it is depends on what the fader speaks: the one that was heard last.
        for (const auto& [address, heard] : heard_) {
            if (address.channel != touch->fader) continue;
            const auto at = target(address);
            if (!at) continue;
            if (touch->on && work_.writing.writes(at->row))
                work_.writing.touch(at->row, at->parameter, work_.writing.value_now(at->row, at->parameter));
            if (!touch->on) work_.writing.release(at->row, at->parameter);
            break;
        }
        if (touch->on) gesture_ = work_.document.new_gesture();
        return;
    }
    const auto move = reader_.move(bytes);
    if (!move) return;
    const FaderAddress& a = move->address;
    if (a.speech == FaderSpeech::control_14) {
        pairs_.insert(a);
        coarse_.reset();
    } else {
        flush_coarse();
        if (a.speech == FaderSpeech::control_7 && pairs_.contains({FaderSpeech::control_14, a.channel, a.control})) {
            coarse_ = move;  // its fine half comes next
            return;
        }
    }
    moved(*move);
}

/// A coarse half that no fine one followed: the control is none of a pair any more.
void FaderLink::flush_coarse() {
    if (!coarse_) return;
    const FaderMove move = *coarse_;
    coarse_.reset();
    pairs_.erase({FaderSpeech::control_14, move.address.channel, move.address.control});
    moved(move);
}

void FaderLink::moved(const FaderMove& move) {
    const FaderAddress& address = move.address;
    if (learning_) {
        learned_[address] = *learning_;
        emit message(tr("This fader now controls %1 of %2.")
                         .arg(parameter_word(learning_->parameter),
                              QString::fromStdString(work_.document.session().name_of(learning_->row))));
        learning_.reset();
        emit changed();
    } else if (address.speech == FaderSpeech::control_14) {
        // The coarse half came first and was taken for a control of its own: it is a pair.
        const FaderAddress coarse{FaderSpeech::control_7, address.channel, address.control};
        if (const auto own = learned_.find(coarse); own != learned_.end()) {
            learned_[address] = own->second;
            learned_.erase(own);
        }
    }
    heard_[address].position = move.position;
    const auto at = target(address);
    if (!at) return;
    if (!pickups_[address].takes(move.position, position(*at))) {
        emit work_.view.hint(tr("The fader of %1 must first meet the current value.")
                                 .arg(QString::fromStdString(work_.document.session().name_of(at->row))));
        return;
    }
    if (last_ != address) gesture_ = work_.document.new_gesture();
    last_ = address;
    set(*at, move.position);
}

void FaderLink::set(const Target& t, double position) {
    work_.view.ride.touch(t.row, t.parameter);
    if (work_.writing.writes(t.row)) {
        double value = value_at_position(t.parameter, position);
        if (t.parameter == Parameter::level) {
            const double own = work_.edits.fader_db(t.row), total = fader_db_at(position);
            value = std::clamp(std::isinf(own) ? 0.0 : total - own, ride_min_db, ride_max_db);
        }
        const auto touch = touched_.find(last_.channel);
        if (touch != touched_.end() && touch->second)
            work_.writing.move(t.row, t.parameter, value);
        else
            work_.writing.tap(t.row, t.parameter, value);
        return;
    }
    if (t.parameter == Parameter::level) {
        const double ride = work_.writing.value_now(t.row, Parameter::level), total = fader_db_at(position);
        work_.edits.set_fader(t.row, std::min(total - ride, fader_max_db), gesture_);
    } else {
        work_.edits.set_own_value(t.row, t.parameter, value_at_position(t.parameter, position), gesture_);
    }
}

/// Motors stand where their values are, but for those under a hand.
void FaderLink::tell_motors() {
    if (!port_) return;
    for (auto& [address, heard] : heard_) {
        const auto at = target(address);
        if (!at) continue;
        const auto hand = touched_.find(address.channel);
        if (hand != touched_.end() && hand->second) continue;
        const double stands = position(*at);
        if (std::fabs(stands - heard.position) * steps_of(address.speech) < 0.6) continue;
        heard.position = stands;
        for (const MidiBytes& bytes : fader_bytes(address, stands)) port_->send(bytes);
    }
}

}  // namespace isotonus
