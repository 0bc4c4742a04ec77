// The lane of Shape: spectra before and after, the low cut, levels, the reduction over the song, the chain in words.
#pragma once

#include <QPixmap>

#include "app/shape/frequency.h"

#include "app/desk/lane.h"

namespace isotonus {

/// Where the parts of a lane of this width stand: frequencies and levels.
QRect frequency_area(int width, int height);
QRect level_area(int width, int height);
QRect send_area(int width, int height);
/// Something is sent somewhere: before that words of chains have the sends' place.
bool shows_sends(const Session& session);

class ShapeLane : public Lane {
    Q_OBJECT
  public:
    ShapeLane(Workspace& work, TrackId id, QWidget* parent);

  protected:
    Range spoken_range() const override { return {0.0, highest_hz, true}; }
    std::optional<double> number() const override;
    QString value_text() const override;
    QString value_name() const override { return tr("low cut"); }
    void nudge(double by, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override;
    QString sentence() const override;
    double per_pixel(const QPoint&) const override;
    bool grab(const QPoint& at) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void paint(QPainter& painter, const QRect& clip) override;
    void playhead_moved() override;
    void contextMenuEvent(QContextMenuEvent* event) override;

    bool exists() const override { return work_.document.session().chain_of(id()) != nullptr; }
    QString track_name() const override { return QString::fromStdString(work_.document.session().name_of(id())); }
    void select_row() override;
    void clicked(Qt::KeyboardModifiers keys) override;

  private:
    const Chain& chain() const { return *work_.document.session().chain_of(id()); }
    /// Rows that an edit here changes: those that are selected with a track, a bus alone.
    std::vector<TrackId> rows_meant() const;
    void paint_picture(QPainter& painter, const ShapedRow& row);
    void paint_spectra(QPainter& painter, const ShapedRow& row);
    void paint_levels(QPainter& painter, const ShapedRow& row);
    void paint_words(QPainter& painter, const ShapedRow& row);
    /// All that the picture depends on.
    struct Picture {
        MaterialPtr before, after;
        bool before_known = false, after_known = false;
        Chain chain, ghost;
        bool chain_out = false;
        double trim_db = 0.0;
        int colour = 0;
        bool beside_sends = false;
        QSize size;
        const void* theme = nullptr;
        bool operator==(const Picture&) const = default;
    } shown_;
    QPixmap drawn_;
    Sends sends_shown_;
    QRect word_rect(size_t n) const;
    bool has_words() const;  ///< there is room for a letter of each
    std::optional<size_t> word_at(const QPoint& at) const;
    /// The word that is held, and the place where it would stand.
    std::optional<size_t> held_;
    size_t drop_ = 0;

    // Sends: a line for each bus that there is, in the buses' order.
    QRect send_rect(size_t bus) const;
    void paint_sends(QPainter& painter);
    /// With what their rides say at the playhead.
    Sends sends_now() const;
    const Send* send_at(const QPoint& at) const;
    /// The send whose line is held, with where it was taken.
    struct HeldSend {
        uint64_t send;
        int x;
        double position;
        uint64_t gesture;
    };
    std::optional<HeldSend> held_send_;
};

}  // namespace isotonus
