// What stands below the rows of Balance, one page at a time: the headroom plan, the build-up, who covers a track, what
// is lost in mono, the stereo picture.
#pragma once

#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QStackedWidget>

#include "app/desk/lane.h"
#include "core/balance/build_up.h"
#include "core/balance/mono_loss.h"

namespace isotonus {

class BalancePanel : public QWidget {
    Q_OBJECT
  public:
    BalancePanel(Workspace& work, QWidget* parent);

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    void follow();
    Workspace& work_;
    QStackedWidget* pages_;
};

/// The worst moments and what makes them; three proposals, shown as ghosts under the pointer, taken by a click.
class HeadroomPage : public QWidget {
    Q_OBJECT
  public:
    HeadroomPage(Workspace& work, QWidget* parent);

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void follow();
    QString words(const Proposal& p) const;
    Workspace& work_;
    std::vector<QPushButton*> proposals_;
    size_t moment_ = 0;
};

/// Brings tracks in one at a time.
class BuildUpPage : public QWidget {
    Q_OBJECT
  public:
    BuildUpPage(Workspace& work, QWidget* parent);

  private:
    void start();
    void step(int by);
    void leave();
    void take_suggestion();
    void take_all();
    void follow();
    /// The anchors in the order in which they will come in, while one may still choose it.
    void list_anchors();
    Session with_step(const Session& session, size_t step);

    Workspace& work_;
    QComboBox* order_;
    QLabel *step_text_, *advice_, *headroom_;
    QPushButton *start_, *all_, *back_, *next_, *take_, *leave_;
    QWidget* anchors_;
    QListWidget* anchor_list_;
    BalanceView::BuildUp& now_;
};

/// Section by section, how much of the focused track is heard and who covers it.
class CoverPage : public QWidget {
    Q_OBJECT
  public:
    CoverPage(Workspace& work, QWidget* parent);

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;

  private:
    Workspace& work_;
    TrackId known_for_ = 0;
    PlanPtr known_in_;
    std::vector<std::vector<Cover>> covers_;
    std::vector<std::pair<QRect, TrackId>> names_;  ///< that can be clicked
};

/// Tracks by what they lose in mono.
class MonoPage : public QWidget {
    Q_OBJECT
  public:
    MonoPage(Workspace& work, QWidget* parent);

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;

  private:
    Workspace& work_;
    std::vector<std::pair<QRect, TrackId>> rows_;
};

/// The sum as a picture: side across mid, and correlation by band.
class PicturePage : public QWidget {
    Q_OBJECT
  public:
    PicturePage(Workspace& work, QWidget* parent);

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    Workspace& work_;
};

}  // namespace isotonus
