// The large frequency picture of the row that Shape shows.
#pragma once

#include <QWidget>

#include "app/shape/frequency.h"
#include "app/shape/live_spectrum.h"
#include "app/style/spoken.h"
#include "core/balance/make_room.h"

namespace isotonus {

/// The large picture of the chosen row: spectra, the line of its linear processors, brackets of the equaliser's bands.
class ShapePicture : public QWidget, public SpokenControl {
    Q_OBJECT
  public:
    ShapePicture(Workspace& work, QWidget* parent);
    QString spoken_value() const override;
    /// Who covers the row where, drawn behind it; empty: not shown.
    void show_cover(std::vector<CoveredBand> cover);
    const LiveSpectrum& live() const { return live_; }

  protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void leaveEvent(QEvent*) override;
    void contextMenuEvent(QContextMenuEvent* event) override;

  private:
    QRect canvas() const { return rect().adjusted(34, 10, -12, -26); }
    FrequencyRuler ruler() const {
        return {static_cast<double>(canvas().left()), static_cast<double>(canvas().right())};
    }
    double y_of(double db) const;
    double db_of(double y) const;
    int band_at(const QPoint& at) const;
    const Chain* chain() const;
    const Processor* equaliser() const;
    void set_band(int band, double hz, double db, std::optional<double> q = {});
    /// Whose each third octave of the mix is: a full stripe where it is this track's, a thin one where it fights for
    /// it.
    void paint_owned(QPainter& painter, const QRect& area, const FrequencyRuler& freq) const;
    QString owned_text(double hz) const;
    void paint_cover(QPainter& painter, const QRect& area, const FrequencyRuler& ruler) const;
    QString cover_text(double hz) const;
    void paint_decay(QPainter& painter, const QRect& area, const FrequencyRuler& ruler) const;
    /// A chain's gain as it was drawn last: filters take their time to design, and most repaints change none.
    struct Line {
        Chain chain;
        double rate = 0.0;
        QSize size;
        QPainterPath path;
    } line_, ghost_line_;
    const QPainterPath& line_of(Line& line, const Chain& chain, double rate,
                                const std::function<double(double)>& y_of) const;
    Workspace& work_;
    LiveSpectrum live_;
    int band_ = -1;  ///< that is dragged; 0 … 7
    bool sweeping_ = false;
    double held_hz_ = 0.0, held_db_ = 0.0;  ///< of the dragged band when it was taken
    QPointF held_, last_;                   ///< where the drag has it, where the pointer was
    std::vector<CoveredBand> cover_;
    std::vector<Parameter> written_;  ///< by the drag, while the row writes
    uint64_t gesture_ = 0;
    QPoint pointer_{-1, -1};
};

}  // namespace isotonus
