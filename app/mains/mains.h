// Mains: the main output against its target window.
#pragma once

#include <QToolButton>

#include "app/desk/lane.h"

namespace isotonus {

/// The main output's fader.
class MainFader : public Lane {
    Q_OBJECT
  public:
    MainFader(Workspace& work, QWidget* parent);

  protected:
    bool exists() const override { return true; }
    void select_row() override {}
    QString value_text() const override { return db_text(work_.document.session().main_fader_db); }
    QString value_name() const override { return tr("main fader"); }
    void nudge(double by_db, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override;
    QString sentence() const override;
    double per_pixel(const QPoint&) const override;
    void paint(QPainter& painter, const QRect& clip) override;

  private:
    void move_to(double db, uint64_t gesture);
};

class Mains : public QWidget {
    Q_OBJECT
  public:
    Mains(Workspace& work, QWidget* parent = nullptr);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent*) override;

  private:
    void refresh();
    QRect gauge() const;
    int gauge_y(double db) const;
    void paint_song_peak(QPainter& painter);
    void paint_gauge(QPainter& painter);

    Workspace& work_;
    MainFader* fader_;
    QToolButton* clip_flag_;
};

}  // namespace isotonus
