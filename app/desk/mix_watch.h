// Knows the mix as it stands: its whole-song peak after every edit, and on request its full figures; computed in the
// background.
#pragma once

#include <QObject>
#include <QThreadPool>
#include <QTimer>

#include "app/desk/player.h"

namespace isotonus {

class MixWatch : public QObject {
    Q_OBJECT
  public:
    explicit MixWatch(Player& player, QObject* parent = nullptr);
    ~MixWatch() override;

    struct Peak {
        Level dbfs;
        double time_s = 0.0;
    };
    /// Of the newest plan that is done; `busy` while a newer one is on its way.
    const std::optional<Peak>& peak() const { return peak_; }
    bool busy() const { return busy_; }

    /// Full figures of the mix (true peak, loudness) are computed too while somebody wants them.
    void want_figures(bool wanted);
    /// … or once, for what happens next.
    void need_figures();
    const std::optional<Measurer::Outcome>& figures() const { return figures_; }

  signals:
    void changed();

  private:
    void restart();
    void peak_found(const std::optional<Peak>& peak, bool figures_follow);

    Player& player_;
    QThreadPool pool_;
    std::shared_ptr<Progress> running_;
    std::optional<Peak> peak_;
    std::optional<Measurer::Outcome> figures_;
    bool busy_ = false, searching_ = false, again_ = false;
    bool figures_wanted_ = false, figures_needed_ = false;
};

}  // namespace isotonus
