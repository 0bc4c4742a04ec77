// Hand off: the checks, and the export with what came of it.
#pragma once

#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QProgressBar>
#include <QPushButton>
#include <QThreadPool>

#include "app/desk/station.h"

namespace isotonus {

/// What a row brings to the mix.
class HandOffLane : public Lane {
    Q_OBJECT
  public:
    using Lane::Lane;

  protected:
    QString value_text() const override;
    QString value_name() const override { return tr("in the mix"); }
    void nudge(double, uint64_t) override {}
    void type_value(const QString&) override {}
    void reset_value() override {}
    double per_pixel(const QPoint&) const override { return 0.0; }
    bool grab(const QPoint&) override { return false; }
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
    void show_checks();
    void fill_ranges();
    void choose_file();
    void start();
    void finished(const Result<ExportReport>& report);

    Workspace& work_;
    QThreadPool pool_;
    std::shared_ptr<Progress> progress_;
    QTimer progress_timer_;
    QLabel *checks_, *result_;
    QLineEdit* file_;
    QComboBox *format_, *rate_, *range_;
    QPushButton *export_, *cancel_;
    QProgressBar* bar_;
};

class HandOffStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new HandOffLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override;
    QWidget* make_panel(Workspace& work, QWidget* parent) const override { return new HandOffPanel(work, parent); }
};

}  // namespace isotonus
