// Faders over MIDI: a device's moves become moves of rows, and its motors follow them.
#pragma once

#include <set>

#include "app/desk/writing.h"
#include "engine/fader_box.h"

namespace isotonus {

class Workspace;

class FaderLink : public QObject {
    Q_OBJECT
  public:
    explicit FaderLink(Workspace& work);
    ~FaderLink() override;

    struct Target {
        TrackId row = 0;
        Parameter parameter = Parameter::level;
        bool operator==(const Target&) const = default;
    };

    static QStringList devices();
    /// Listens to a device; the old one is let go.  False with a message when it cannot be had.
    bool open(const QString& device);
    const QString& device() const { return device_; }
    /// The simulated box's end of the wire; from now on it is what is listened to.
    std::shared_ptr<MidiPort> plug_box();
    void use(std::shared_ptr<MidiPort> port, const QString& name);

    /// The next fader that moves will move this from now on.
    void learn(Target target);
    bool learning() const { return learning_.has_value(); }
    /// Faders that were not learned move the levels of eight rows in order, from this one on.
    int bank() const { return bank_; }
    void set_bank(int first_row);
    std::vector<TrackId> rows() const;  ///< all rows in order: tracks, buses, groups, the main output
    std::optional<Target> target(const FaderAddress& address) const;
    /// Where a target stands on a fader, 0 … 1.
    double position(const Target& target) const;

  signals:
    void changed();
    void message(const QString& text);

  private:
    void receive(const MidiBytes& bytes);
    void moved(const FaderMove& move);
    void flush_coarse();
    void set(const Target& target, double position);
    void tell_motors();

    Workspace& work_;
    std::shared_ptr<MidiPort> port_;
    QString device_;
    FaderMidiReader reader_;
    std::optional<Target> learning_;
    std::map<FaderAddress, Target> learned_;
    std::map<FaderAddress, Pickup> pickups_;
    struct Heard {
        double position = -1.0;  ///< what the device was told or said last
    };
    std::set<FaderAddress> pairs_;         ///< controls that came with fine halves
    std::optional<FaderMove> coarse_;      ///< the coarse half of such a pair, until the next message
    std::map<FaderAddress, Heard> heard_;  ///< faders that have moved: their motors are told
    std::map<int, bool> touched_;          ///< by fader number, when the device tells
    int bank_ = 0;
    uint64_t gesture_ = 0;
    FaderAddress last_;
    QTimer motors_;
};

}  // namespace isotonus
