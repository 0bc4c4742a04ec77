// Advice about chains, computed in the background: shown first as a ghost, then taken as one undo step, or left.
#pragma once

#include <QObject>
#include <map>

#include "app/desk/background.h"
#include "app/desk/workspace.h"
#include "core/balance/make_room.h"
#include "core/compare/ownership.h"
#include "core/shape/advice.h"

namespace isotonus {

class Advisor : public QObject {
    Q_OBJECT
  public:
    Advisor(Workspace& work, QObject* parent);
    ~Advisor() override;

    /// A low cut for each of these tracks; what it takes is told of the first.
    void low_cuts(const std::vector<TrackId>& rows);
    void troubles(TrackId row);
    void reduction(TrackId row, size_t position, const ReductionAim& aim);
    void room(TrackId row);
    void duck(TrackId row, TrackId key);
    /// The strongest note of a track out of the others; anchors are spared, and what carries the low end.
    void note(TrackId row);
    /// Who covers a row where; `found` is called when that is known.
    void cover(TrackId row, std::function<void(std::vector<CoveredBand>)> found);

    /// What stands to be taken, in words; empty while there is nothing.
    const QString& text() const { return text_; }
    bool busy() const { return running_ != nullptr; }
    /// There is something to take, not only to read.
    bool can_take() const { return !work_.view.shape.ghosts().empty(); }
    void take();
    void leave();

  signals:
    void changed();

  private:
    struct Found {
        QString text, name;
        std::map<TrackId, Chain> chains;
        /// Of room that is made: for whom, and the share of it that is heard before and, as predicted, after.
        struct Room {
            TrackId row = 0;
            double before = 0.0, after = 0.0;
        };
        std::optional<Room> room = std::nullopt;
        std::optional<std::vector<CoveredBand>> cover = std::nullopt;
    };
    /// Runs work behind the window; what it finds is shown when nothing was changed meanwhile.
    void start(std::function<Result<Found>(Progress&)> work);
    void show(const Found& found);

    Workspace& work_;
    std::shared_ptr<Progress> running_;
    /// Once what was taken is at work: what it brought.
    void tell_of_room();
    void forget_room();
    QString text_, name_;
    std::optional<Found::Room> room_, taken_room_;
    std::function<void(std::vector<CoveredBand>)> cover_found_;
    bool stop_listening_ = false;
    Background jobs_;
};

}  // namespace isotonus
