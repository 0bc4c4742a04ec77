// Hand off: the checks, the exports with their proof, and the sheet.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QProgressBar>
#include <QPushButton>
#include <QTimer>

#include "app/desk/background.h"
#include "app/desk/export_queue.h"
#include "app/desk/plain_lane.h"
#include "app/desk/plain_table.h"
#include "app/desk/station.h"
#include "app/handoff/check_list.h"
#include "app/handoff/export_form.h"

namespace isotonus {

/// What a row brings to the mix.
class HandOffLane : public PlainLane {
    Q_OBJECT
  public:
    using PlainLane::PlainLane;

  protected:
    QString value_text() const override;
    QString value_name() const override { return tr("in the mix"); }
    void paint(QPainter& painter, const QRect& clip) override;
};

class HandOffPanel : public QWidget {
    Q_OBJECT
  public:
    HandOffPanel(Workspace& work, QWidget* parent);
    ~HandOffPanel() override;

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    QWidget* make_checks();
    QWidget* make_export_preview();
    QWidget* make_outcome();
    void show_export_preview();
    /// Of the mix that leaves, which must have been measured.
    std::vector<Check> check_now() const;
    void show_checks();
    void show_queue();
    void look_into_overs();
    /// By how much the stems will differ from the mix, told before they are written.
    void look_at_stems();
    void own_limits();
    /// A demo is listened to as it is: where nothing works on the main output, a preset for that is offered.
    void offer_main_chain();
    void start();
    void start_when_known();

    Workspace& work_;
    QTimer progress_timer_, export_preview_timer_;
    PlanPtr overs_of_;  ///< the mix whose overs are known, or being looked into
    double overs_limit_dbfs_ = 0.0;
    std::vector<Moment> overs_;  ///< what makes them
    ExportForm* form_;
    CheckList* checks_;
    QComboBox* profile_;
    QTableWidget* export_preview_;
    QLabel *told_, *result_, *export_preview_sum_, *stems_sum_;
    std::shared_ptr<Progress> stems_progress_;  ///< of finding out how far the stems' sum is from the mix
    bool waits_to_start_ = false;               ///< until files and chains are known
    QPlainTextEdit* notes_;
    QPushButton *export_, *cancel_;
    QProgressBar* bar_;
    Background jobs_{2};  ///< moments over the limit, and the sum of stems
};

void paint_hand_off_ruler(QPainter& painter, const QRect& area, const Workspace& work);

class HandOffStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new HandOffLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override {
        paint_hand_off_ruler(painter, area, work);
    }
    QWidget* make_panel(Workspace& work, QWidget* parent) const override { return new HandOffPanel(work, parent); }
};

}  // namespace isotonus
