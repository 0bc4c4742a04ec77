// Mains: the main output against its target window.
#pragma once

#include <QGridLayout>
#include <QToolButton>

#include "app/desk/lane.h"
#include "app/mains/main_spectrum.h"

namespace isotonus {

/// The main output's fader.
class MainFader : public Lane {
    Q_OBJECT
  public:
    MainFader(Workspace& work, QWidget* parent);
    QString shown() const { return db_text(shown_db()); }
    /// To where its ride has it at the playhead; false: it stands there.
    bool follow();

  protected:
    bool exists() const override { return true; }
    void select_row() override {}
    Range spoken_range() const override { return {fader_floor_db, fader_max_db, true}; }
    QString value_text() const override { return db_text(shown_db()); }
    QString value_name() const override { return tr("main fader"); }
    void nudge(double by_db, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override;
    QString sentence() const override;
    double per_pixel(const QPoint&) const override;
    void let_go() override { work_.writing.release(main_output, Parameter::level); }
    void paint(QPainter& painter, const QRect& clip) override;

  private:
    void move_to(double db, uint64_t gesture);
    double shown_db() const;
    double drawn_db_ = 0.0;
};

/// How loud the loudspeakers are: the monitor's level.
class MonitorLevel : public Lane {
    Q_OBJECT
  public:
    MonitorLevel(Workspace& work, QWidget* parent);

  protected:
    bool exists() const override { return true; }
    void select_row() override {}
    Range spoken_range() const override { return {-60.0, 0.0}; }
    QString value_text() const override { return db_text(work_.player.monitor().level_db); }
    QString value_name() const override { return tr("monitor level"); }
    void nudge(double by_db, uint64_t gesture) override;
    void type_value(const QString& text) override;
    void reset_value() override { set(0.0); }
    QString sentence() const override;
    double per_pixel(const QPoint&) const override { return 60.0 / (width() - 24.0); }
    void paint(QPainter& painter, const QRect& clip) override;

  private:
    void set(double db);
};

class Mains : public QWidget {
    Q_OBJECT
  public:
    Mains(Workspace& work, QWidget* parent = nullptr);
    void show_spectrum(bool shown);
    /// The listener's own correction, of the room or the headphones.  Fails as read_correction does.
    Result<void> use_correction(const fs::path& file);
    bool shows_spectrum() const { return wants_spectrum_; }
    /// What the large figure is of: while chains are being worked out, the mix as it was before.
    QString peak_title() const;

  protected:
    bool event(QEvent* event) override;
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void resizeEvent(QResizeEvent*) override;

  private:
    void make_monitoring();
    QToolButton* add_switch(const char* name, const QString& text, const QString& tip, int row, int column, int wide);
    void add_switches();
    void add_playback();
    void add_correction(QMenu* menu);
    void add_cross_feed();
    void change_monitor(const std::function<void(MonitorSettings&)>& with);
    void refresh();
    QRect gauge() const;
    /// Height between the figures above and the switches below, px.
    int room_of_meter() const;
    QRect figures() const { return {112, 132, width() - 120, gauge().height()}; }
    /// From one read-out to the next.
    int figure_step() const { return std::clamp(figures().height() / 7, lowest_figure, 40); }
    static constexpr int lowest_figure = 28;  ///< px: a caption and its figure
    int gauge_y(double db) const;
    void paint_song_peak(QPainter& painter);
    void paint_gauge(QPainter& painter);
    void paint_figures(QPainter& painter);
    /// What stands between the mix and the ear, in words; a click on it takes it away.
    QString warning() const;
    /// Beside the clip flag, where that is up.
    QRect warning_area() const { return {1, 104, (clip_flag_->isVisible() ? clip_flag_->x() - 4 : width()) - 1, 20}; }

    Workspace& work_;
    MainFader* fader_;
    MonitorLevel* level_;
    MainSpectrum* spectrum_;
    QToolButton *clip_flag_, *chain_, *playback_ = nullptr;
    std::vector<std::pair<QToolButton*, std::function<bool(const MonitorSettings&)>>> switches_;
    QWidget* monitoring_;
    QToolButton* monitoring_button_;
    /// In a low window the switches of monitoring are behind one button, so that the read-outs have their lines.
    bool folded_ = false;
    bool wants_spectrum_ = false;
    QGridLayout* monitoring_grid_;
    int ticks_ = 0;  ///< figures are read, not watched: ten a second do
};

}  // namespace isotonus
