#include "app/handoff/hand_off.h"

#include <QCoreApplication>
#include <QGridLayout>
#include <QScrollArea>
#include <cmath>

#include "core/stage/findings.h"

namespace isotonus {

QString HandOffLane::value_text() const {
    if (!track()) return {};
    if (!work_.document.session().is_open(*track()))
        return track()->mute ? tr("muted") : tr("not heard: its bus is muted");
    return db_text(track()->fader_db);
}

void HandOffLane::paint(QPainter& painter, const QRect&) {
    const Track& t = *track();
    const Ruler ruler = Ruler::level(20.0, width() / 2.0);
    ruler.paint_rules(painter, QRect(0, 0, width() / 2 + 8, height() - 1));
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    const MaterialPtr m = work_.materials.of(t);
    if (!m) {
        painter.drawText(rect().adjusted(24, 0, 0, 0), Qt::AlignVCenter, tr("no file: not in the mix"));
        return;
    }
    QStringList words;
    const bool heard = work_.document.session().is_open(t) && std::isfinite(t.fader_db);
    const Measurement& f = m->measurement;
    const Level peak = peak_after_fader_dbfs(t, f), average = average_after_fader_dbfs(t, f);
    if (heard && peak) {
        const auto x_of = [&](double db) { return static_cast<int>(ruler.place(std::min(0.0, db))); };
        if (average) {
            QColor bar = theme().track_ink(t.ink);
            bar.setAlpha(80);
            painter.fillRect(QRect(QPoint(x_of(-60.0), y(13)), QPoint(x_of(*average), y(22))), bar);
        }
        painter.fillRect(x_of(*peak) - 1, y(10), 3, y(15), theme().ink);
        words << (t.level_ride ? tr("peak %1 before its ride") : tr("peak %1")).arg(db_text(*peak, "dBFS"))
              << tr("pan %1").arg(pan_text(t.pan));
        if (t.level_ride) words << tr("ridden");
        if (t.polarity_inverted) words << tr("polarity inverted");
    } else {
        words << (heard                                                           ? tr("silent")
                  : std::isinf(t.fader_db) && work_.document.session().is_open(t) ? tr("fader off")
                                                                                  : value_text());
    }
    for (const Finding& finding : work_.materials.findings(t))
        if (finding.fault && heard) words << with_true_minus(finding.text);
    painter.setPen(heard ? theme().ink : theme().faint);
    painter.drawText(QRect(width() / 2 + 24, 0, width() / 2 - 28, height()), Qt::AlignVCenter | Qt::AlignLeft,
                     words.join(" · "));
}

HandOffPanel::HandOffPanel(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("handOffPanel");
    setFixedHeight(296);
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(16, 12, 16, 12);
    grid->setHorizontalSpacing(24);
    const auto heading = [&](const QString& text) {
        auto* label = new QLabel(text);
        label->setStyleSheet("font-size: 16px;");
        return label;
    };
    grid->addWidget(heading(tr("Checks before hand-off")), 0, 0);
    checks_ = new QLabel;
    checks_->setObjectName("checks");
    checks_->setTextFormat(Qt::RichText);
    checks_->setWordWrap(true);
    checks_->setAlignment(Qt::AlignTop);
    auto* scroll = new QScrollArea;
    scroll->setWidget(checks_);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    grid->addWidget(scroll, 1, 0, 7, 1);
    grid->setColumnStretch(0, 5);
    grid->setColumnStretch(2, 4);

    grid->addWidget(heading(tr("Export the mix")), 0, 1, 1, 2);
    const auto field = [&](int row, const QString& text, QWidget* widget) {
        auto* label = new QLabel(text);
        label->setBuddy(widget);
        widget->setAccessibleName(text);
        grid->addWidget(label, row, 1);
        grid->addWidget(widget, row, 2);
    };
    auto* file_row = new QWidget;
    auto* file_layout = new QHBoxLayout(file_row);
    file_layout->setContentsMargins(0, 0, 0, 0);
    file_ = new QLineEdit;
    file_->setObjectName("exportFile");
    auto* choose = new QPushButton(tr("Choose…"));
    choose->setObjectName("chooseExport");
    connect(choose, &QPushButton::clicked, this, &HandOffPanel::choose_file);
    file_layout->addWidget(file_, 1);
    file_layout->addWidget(choose);
    field(1, tr("File"), file_row);
    file_->setAccessibleName(tr("File"));
    format_ = new QComboBox;
    format_->setObjectName("exportFormat");
    format_->addItem(tr("WAV, 24 bit"), 24);
    format_->addItem(tr("WAV, 16 bit with dither"), 16);
    format_->addItem(tr("WAV, 32 bit float"), 32);
    field(2, tr("Format"), format_);
    rate_ = new QComboBox;
    rate_->setObjectName("exportRate");
    field(3, tr("Rate"), rate_);
    range_ = new QComboBox;
    range_->setObjectName("exportRange");
    field(4, tr("Range"), range_);
    auto* buttons = new QWidget;
    auto* row = new QHBoxLayout(buttons);
    row->setContentsMargins(0, 0, 0, 0);
    export_ = new QPushButton(tr("Export"));
    export_->setObjectName("export");
    export_->setDefault(true);
    cancel_ = new QPushButton(tr("Cancel"));
    cancel_->setObjectName("cancelExport");
    cancel_->setEnabled(false);
    bar_ = new QProgressBar;
    bar_->setTextVisible(false);
    bar_->setRange(0, 1000);
    row->addWidget(export_);
    row->addWidget(cancel_);
    row->addWidget(bar_, 1);
    grid->addWidget(buttons, 5, 1, 1, 2);
    result_ = new QLabel(tr("A mastering engineer wants 24 bit at the session's rate, with 3 to 6 dB of headroom."));
    result_->setObjectName("exportResult");
    result_->setWordWrap(true);
    result_->setAlignment(Qt::AlignTop);
    grid->addWidget(result_, 6, 1, 2, 2);
    grid->setRowStretch(7, 1);

    connect(export_, &QPushButton::clicked, this, &HandOffPanel::start);
    connect(cancel_, &QPushButton::clicked, this, [this] {
        if (progress_) progress_->cancel();
    });
    progress_timer_.setInterval(50);
    connect(&progress_timer_, &QTimer::timeout, this,
            [this] { bar_->setValue(static_cast<int>(progress_->fraction() * 1000.0)); });
    connect(&work_.mix, &MixWatch::changed, this, &HandOffPanel::show_checks);
    connect(&work_.document, &Document::session_changed, this, &HandOffPanel::fill_ranges);
    connect(&work_.player, &Player::loop_changed, this, &HandOffPanel::fill_ranges);
    const char* home = std::getenv("HOME");
    const fs::path folder =
        work_.document.path() ? work_.document.path()->parent_path() : fs::path(home ? home : "/tmp");
    file_->setText(to_qt(folder / (work_.document.name().toStdString() + " mix.wav")));
    work_.mix.want_figures(true);
    fill_ranges();
    show_checks();
}

HandOffPanel::~HandOffPanel() {
    work_.mix.want_figures(false);
    if (progress_) progress_->cancel();
    pool_.waitForDone();
}

void HandOffPanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().panel);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
}

void HandOffPanel::show_checks() {
    if (!work_.mix.figures()) {
        checks_->setText(tr("The mix is being measured…"));
        return;
    }
    QString text = "<table cellspacing=0 cellpadding=1>";
    for (const Check& c : check_handoff(work_.document.session(), *work_.player.plan(),
                                        work_.mix.figures()->measurement, work_.materials.missing())) {
        const QString mark = c.passed ? QString("<span style='color:%1'>✓</span>").arg(theme().inside.name())
                                      : QString("<span style='color:%1'><b>✗</b></span>").arg(theme().clipped.name());
        text += QString("<tr><td width=22>%1</td><td>%2</td></tr>").arg(mark, with_true_minus(c.text).toHtmlEscaped());
    }
    checks_->setText(text + "</table>");
}

void HandOffPanel::fill_ranges() {
    const int rate_before = std::max(0, rate_->currentIndex()), range_before = std::max(0, range_->currentIndex());
    rate_->clear();
    rate_->addItem(tr("as the session, %1 kHz").arg(work_.document.session().sample_rate / 1000.0), 0);
    for (const int hz : {44100, 48000, 88200, 96000}) rate_->addItem(tr("%1 kHz").arg(hz / 1000.0), hz);
    rate_->setCurrentIndex(rate_before);
    range_->clear();
    const double song_s = work_.player.plan()->duration_s();
    const auto add = [this](const QString& name, double from_s, double to_s) {
        range_->addItem(name, QVariantList{from_s, to_s});
    };
    add(tr("whole song"), 0.0, 0.0);
    if (const auto& loop = work_.player.loop(); loop.to_s > loop.from_s)
        add(tr("loop, %1 to %2").arg(time_text(loop.from_s), time_text(loop.to_s)), loop.from_s, loop.to_s);
    const auto& sections = work_.document.session().sections;
    for (size_t i = 0; i < sections.size(); ++i)
        add(tr("section %1, %2").arg(i + 1).arg(QString::fromStdString(sections[i].name)), sections[i].start_s,
            i + 1 < sections.size() ? sections[i + 1].start_s : song_s);
    range_->setCurrentIndex(std::min(range_before, range_->count() - 1));
}

void HandOffPanel::choose_file() {
    if (const auto file = work_.prompter->save_file(tr("Export the mix as"), tr("WAV (*.wav)"), from_qt(file_->text())))
        file_->setText(to_qt(*file));
}

void HandOffPanel::start() {
    Export what;
    what.file = from_qt(file_->text());
    if (what.file.extension().empty()) what.file += ".wav";
    const int bits = format_->currentData().toInt();
    what.format = bits == 16 ? SampleFormat::s16 : bits == 24 ? SampleFormat::s24 : SampleFormat::f32;
    what.sample_rate = rate_->currentData().toInt();
    const QVariantList range = range_->currentData().toList();
    const double rate = work_.document.session().sample_rate;
    what.stretch.first = std::llround(range[0].toDouble() * rate);
    what.stretch.frames = std::llround(range[1].toDouble() * rate) - what.stretch.first;
    if (fs::exists(what.file) &&
        work_.prompter->ask(tr("The file exists"), tr("%1 exists already. Replace it?").arg(to_qt(what.file)),
                            tr("Replace"), {}) != Prompter::Answer::yes)
        return;
    export_->setEnabled(false);
    cancel_->setEnabled(true);
    result_->setText(tr("Exporting %1…").arg(to_qt(what.file)));
    progress_ = std::make_shared<Progress>();
    progress_timer_.start();
    pool_.start([this, plan = work_.player.plan(), what, progress = progress_] {
        auto report = export_mix(plan, what, progress.get());
        QMetaObject::invokeMethod(this, [this, report = std::move(report)] { finished(report); });
    });
}

void HandOffPanel::finished(const Result<ExportReport>& report) {
    progress_timer_.stop();
    export_->setEnabled(true);
    cancel_->setEnabled(false);
    bar_->setValue(report ? 1000 : 0);
    if (!report) {
        result_->setText(progress_->cancelled()
                             ? tr("Cancelled; no file was written.")
                             : tr("Not exported: %1").arg(QString::fromStdString(report.error().text())));
        return;
    }
    const Measurement& m = report->measured;
    QString text = tr("%1 is written: %2, peak %3 (headroom %4), true peak %5, loudness %6. It took %7 s.")
                       .arg(to_qt(report->file), time_text(m.duration_s()), level_text(m.sample_peak_dbfs, "dBFS"),
                            m.sample_peak_dbfs ? db_text(-*m.sample_peak_dbfs) : tr("all"),
                            level_text(m.true_peak_dbtp, "dBTP"), level_text(m.integrated_lufs, "LUFS"))
                       .arg(report->render_seconds, 0, 'f', 1);
    if (report->clamped_samples > 0)
        text += ' ' +
                tr("%1 samples lay above full scale and were clipped: turn the mix down.").arg(report->clamped_samples);
    result_->setText(text);
}

QString HandOffStation::title() const { return QCoreApplication::translate("Station", "Hand off"); }

QString HandOffStation::state(const Workspace& work) const {
    const auto& peak = work.mix.peak();
    if (!peak || !peak->dbfs) return {};
    return QCoreApplication::translate("Station", "headroom %1").arg(db_text(-*peak->dbfs));
}

void HandOffStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace&) const {
    Ruler::level(20.0, area.width() / 2.0).paint(painter, area);
    painter.setPen(theme().faint);
    painter.setFont(lettering(11));
    painter.drawText(QRect(area.width() / 2 + 24, 0, 300, area.height() - 2), Qt::AlignVCenter,
                     QCoreApplication::translate("Station", "what each row brings to the mix, after its fader"));
}

}  // namespace isotonus
