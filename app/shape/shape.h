// Shape: what a row is made of in frequency and in level, and the processors of its chain.
#pragma once

#include <QComboBox>
#include <QFormLayout>
#include <QListWidget>
#include <QPushButton>
#include <QScrollArea>

#include "app/desk/station.h"

namespace isotonus {

/// Frequencies across, 20 Hz to 20 kHz, evenly in octaves: one ruler for all rows.
struct FrequencyRuler {
    double left, right;
    double place(double hz) const;
    double hz(double place) const;
    void paint(QPainter& painter, const QRect& strip) const;
    void paint_rules(QPainter& painter, const QRect& area) const;
};

class ShapeLane : public Lane {
    Q_OBJECT
  public:
    ShapeLane(Workspace& work, TrackId id, QWidget* parent);

  protected:
    QString value_text() const override;
    QString value_name() const override { return tr("low cut"); }
    void nudge(double by, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override;
    QString sentence() const override;
    double per_pixel(const QPoint&) const override;
    bool grab(const QPoint& at) override;
    void paint(QPainter& painter, const QRect& clip) override;

  private:
    QRect word_place(size_t n) const;
};

/// The large picture of the chosen row: spectra, the line of its linear processors, brackets of the equaliser's bands.
class ShapePicture : public QWidget {
    Q_OBJECT
  public:
    ShapePicture(Workspace& work, QWidget* parent);

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent*) override { band_ = -1; }
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent*) override;

  private:
    QRect canvas() const { return rect().adjusted(34, 10, -12, -26); }
    FrequencyRuler ruler() const {
        return {static_cast<double>(canvas().left()), static_cast<double>(canvas().right())};
    }
    double y_of(double db) const;
    double db_of(double y) const;
    int band_at(const QPoint& at) const;
    Workspace& work_;
    int band_ = -1;  ///< that is dragged; 0 … 7
    uint64_t gesture_ = 0;
    QPoint pointer_{-1, -1};
};

class ShapePanel : public QWidget {
    Q_OBJECT
  public:
    ShapePanel(Workspace& work, QWidget* parent);

  protected:
    void paintEvent(QPaintEvent*) override;

  private:
    void follow();
    void fill_form();
    void add_parameter(const Processor& processor, const ParameterInfo& info);
    void add_key(const Processor& processor);
    size_t place() const;  ///< of the chosen processor; the count of them when none is
    void move(int by);
    Workspace& work_;
    QListWidget* list_;
    ShapePicture* picture_;
    QScrollArea* scroll_;
    QPushButton *in_, *remove_, *up_, *down_;
    TrackId row_ = 0;
    Chain shown_;
    bool filling_ = false;
};

class ShapeStation : public Station {
  public:
    QString title() const override;
    QString state(const Workspace& work) const override;
    Lane* make_lane(Workspace& work, TrackId id, QWidget* parent) const override {
        return new ShapeLane(work, id, parent);
    }
    void paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const override;
    QWidget* make_panel(Workspace& work, QWidget* parent) const override { return new ShapePanel(work, parent); }
};

}  // namespace isotonus
