#include "app/mains/mains.h"

#include "app/mains/playback_entry.h"

#include <QGridLayout>
#include <QHelpEvent>
#include <QMenu>
#include <QMouseEvent>
#include <QToolTip>
#include <cmath>

#include "app/balance/balance.h"
#include "app/style/text.h"
#include "core/balance/fader.h"

namespace isotonus {

namespace {
constexpr int spectrum_height = 66;
}

namespace {

QString correlation_text(double correlation) {
    return QString(correlation < 0.0 ? QChar(0x2212) : QChar('+')) + shown_figure(std::fabs(correlation), 2);
}
Ruler main_ruler(int width) { return Ruler::fader(12.0, width - 12.0); }
}  // namespace

MainFader::MainFader(Workspace& work, QWidget* parent) : Lane(work, 0, parent) { setObjectName("mainFader"); }

void MainFader::move_to(double db, uint64_t gesture) {
    work_.view.ride.touch(main_output, Parameter::level);
    if (work_.writing.writes(main_output)) {
        const double value =
            std::clamp(std::isinf(db) ? ride_min_db : db - work_.edits.fader_db(main_output), ride_min_db, ride_max_db);
        if (gesture)
            work_.writing.move(main_output, Parameter::level, value);
        else
            work_.writing.tap(main_output, Parameter::level, value);
        update();
        return;
    }
    Session next = work_.document.session();
    next.main_fader_db = std::min(db - work_.writing.added_now(main_output), fader_max_db);
    work_.document.edit(tr("Main fader %1").arg(db_text(db)), std::move(next), gesture);
}

void MainFader::nudge(double by_db, uint64_t gesture) { move_to(fader_moved(shown_db(), by_db), gesture); }

/// With its ride.
double MainFader::shown_db() const {
    return work_.document.session().main_fader_db + work_.writing.added_now(main_output);
}

bool MainFader::follow() {
    if (shown_db() == drawn_db_) return false;
    refresh();
    return true;
}

void MainFader::type_value(const QString& text) {
    if (const auto db = parse_level(text); db && *db <= fader_max_db)
        move_to(*db < fader_floor_db ? silence_db : *db, 0);
}

void MainFader::reset_value() { move_to(0.0, 0); }

QString MainFader::sentence() const {
    return tr("Main fader %1: changes the level of the whole mix. Balance the tracks first; this fader is for the last "
              "step.")
        .arg(value_text());
}

double MainFader::per_pixel(const QPoint&) const {
    return main_ruler(width()).db_per_pixel(work_.document.session().main_fader_db);
}

void MainFader::paint(QPainter& painter, const QRect&) {
    const Ruler r = main_ruler(width());
    painter.setPen(theme().faint);
    painter.drawLine(12, 18, width() - 12, 18);
    painter.setPen(theme().text);
    const int zero = static_cast<int>(std::lround(r.x_of(0.0)));
    painter.drawLine(zero, 13, zero, 23);
    drawn_db_ = shown_db();
    const bool ridden = work_.writing.is_ridden(main_output, Parameter::level);
    if (ridden)
        paint_own_value(painter, static_cast<int>(std::lround(r.x_of(work_.document.session().main_fader_db))), 12, 24);
    paint_blade(painter, static_cast<int>(std::lround(r.x_of(drawn_db_))), 8, 28, theme().accent);
}

MonitorLevel::MonitorLevel(Workspace& work, QWidget* parent) : Lane(work, 0, parent) {
    setObjectName("monitorLevel");
    connect(&work_.player, &Player::hearing_changed, this, &Lane::refresh);
}

void MonitorLevel::set(double db) {
    MonitorSettings m = work_.player.monitor();
    m.level_db = std::clamp(db, -60.0, 0.0);
    work_.player.set_monitor(m);
}

void MonitorLevel::nudge(double by_db, uint64_t) { set(work_.player.monitor().level_db + by_db); }

void MonitorLevel::type_value(const QString& text) {
    if (const auto db = parse_level(text); db && std::isfinite(*db)) set(*db);
}

QString MonitorLevel::sentence() const {
    return tr("Monitor level %1: how loud you hear it. It changes neither the mix nor an export.").arg(value_text());
}

void MonitorLevel::paint(QPainter& painter, const QRect&) {
    const int left = 12, right = width() - 12, line = height() / 2;
    painter.setPen(theme().faint);
    painter.drawLine(left, line, right, line);
    const double share = (work_.player.monitor().level_db + 60.0) / 60.0;
    paint_blade(painter, left + static_cast<int>(std::lround(share * (right - left))), line - 8, line + 8,
                theme().faint);
}

Mains::Mains(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setAttribute(Qt::WA_OpaquePaintEvent);
    setObjectName("mains");
    setFixedWidth(mains_width);
    setMouseTracking(true);
    fader_ = new MainFader(work, this);
    level_ = new MonitorLevel(work, this);
    spectrum_ = new MainSpectrum(work, this);
    spectrum_->hide();
    make_monitoring();
    clip_flag_ = new QToolButton(this);
    clip_flag_->setObjectName("clipFlag");
    clip_flag_->setText(tr("Clipped"));
    clip_flag_->setToolTip(tr("A sample went above 0 dBFS. Click to reset. (C resets all)"));
    clip_flag_->setFocusPolicy(Qt::TabFocus);
    clip_flag_->hide();
    connect(clip_flag_, &QToolButton::clicked, this, [this] { work_.player.reset_main_meter(); });
    chain_ = new QToolButton(this);
    chain_->setObjectName("mainChain");
    chain_->setText(tr("Chain"));
    chain_->setAccessibleName(tr("Main chain"));
    chain_->setCheckable(true);
    chain_->setFocusPolicy(Qt::TabFocus);
    chain_->setToolTip(
        tr("Switches the chain of the main output on or off as a whole. Its processors are set in Shape."));
    connect(chain_, &QToolButton::clicked, this, [this] { work_.edits.bypass_chain(main_output); });
    connect(&work_.document, &Document::session_changed, this, &Mains::refresh);
    connect(&work_.mix, &MixWatch::changed, this, &Mains::refresh);
    connect(&work_.materials, &Materials::reshaped, this, &Mains::refresh);
    connect(&work_.player, &Player::hearing_changed, this, &Mains::refresh);
    connect(&work_.player, &Player::moved, this, [this] {
        if (fader_->follow()) update(0, height() - 64, width(), 20);
    });
    connect(&work_.player, &Player::levels_changed, this, [this] {
        clip_flag_->setVisible(work_.player.meters().main[0].clipped || work_.player.meters().main[1].clipped);
        update(gauge().adjusted(-4, -8, 30, 8));
        if (++ticks_ % 6 == 0) update(figures());
    });
    refresh();
}

void Mains::resizeEvent(QResizeEvent*) {
    fader_->setFixedHeight(36);
    fader_->setGeometry(4, height() - 44, width() - 8, 36);
    level_->setFixedHeight(24);
    level_->setGeometry(66, height() - 92, width() - 70, 24);
    constexpr int switches = 121, above = 132, below = 229, read_outs = 7 * lowest_figure;
    folded_ = height() < above + read_outs + below;
    monitoring_button_->setVisible(folded_);
    monitoring_button_->setGeometry(8, height() - 120, width() - 16, 26);
    // Folded, they stand above their button while they are wanted, over the foot of the meter.
    monitoring_->setGeometry(8, height() - (folded_ ? 124 + switches : 215), width() - 16, switches);
    monitoring_->setVisible(!folded_ || monitoring_button_->isChecked());
    show_spectrum(wants_spectrum_);
    spectrum_->setGeometry(8, height() - 221 - spectrum_height, width() - 16, spectrum_height);
    clip_flag_->setGeometry(width() - 70, 104, 68, 20);
    chain_->setGeometry(82, height() - 65, 50, 22);
}

QToolButton* Mains::add_switch(const char* name, const QString& text, const QString& tip, int row, int column,
                               int wide) {
    auto* b = new QToolButton;
    b->setObjectName(name);
    b->setText(text);
    b->setToolTip(tip);
    b->setAccessibleName(text);
    b->setCheckable(true);
    b->setFocusPolicy(Qt::TabFocus);
    b->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    b->setFixedHeight(26);
    b->setStyleSheet("font-size: 11px; padding: 0;");
    monitoring_grid_->addWidget(b, row, column, 1, wide);
    return b;
}

void Mains::change_monitor(const std::function<void(MonitorSettings&)>& with) {
    MonitorSettings m = work_.player.monitor();
    with(m);
    work_.player.set_monitor(m);
}

void Mains::make_monitoring() {
    monitoring_ = new QWidget(this);
    monitoring_->setObjectName("monitoringSwitches");
    monitoring_->setAttribute(Qt::WA_StyledBackground);
    monitoring_grid_ = new QGridLayout(monitoring_);
    monitoring_grid_->setContentsMargins(0, 0, 0, 0);
    monitoring_grid_->setSpacing(3);
    for (int column = 0; column < 6; ++column) monitoring_grid_->setColumnStretch(column, 1);
    add_switches();
    add_playback();
    add_cross_feed();
    monitoring_button_ = new QToolButton(this);
    monitoring_button_->setObjectName("monitoring");
    monitoring_button_->setText(tr("Monitoring"));
    monitoring_button_->setToolTip(tr("Dim, mono, speaker check and what else changes only how you hear the mix."));
    monitoring_button_->setFocusPolicy(Qt::TabFocus);
    monitoring_button_->hide();
    monitoring_button_->setCheckable(true);
    connect(monitoring_button_, &QToolButton::toggled, monitoring_, &QWidget::setVisible);
}

void Mains::add_switches() {
    const auto flag = [&](const char* name, const QString& text, const QString& tip, int row, int column, int wide,
                          bool MonitorSettings::*member) {
        auto* b = add_switch(name, text, tip, row, column, wide);
        connect(b, &QToolButton::clicked, this,
                [this, member](bool on) { change_monitor([&](auto& m) { m.*member = on; }); });
        switches_.emplace_back(b, [member](const MonitorSettings& m) { return m.*member; });
    };
    const auto sides = [&](const char* name, const QString& text, const QString& tip, int row, int column, int wide,
                           Sides way) {
        auto* b = add_switch(name, text, tip, row, column, wide);
        connect(b, &QToolButton::clicked, this,
                [this, way](bool on) { change_monitor([&](auto& m) { m.sides = on ? way : Sides::stereo; }); });
        switches_.emplace_back(b, [way](const MonitorSettings& m) { return m.sides == way; });
    };
    flag("monitorDim", tr("Dim"), tr("Lowers the monitoring by 20 dB, to talk over the music. (D)"), 0, 0, 2,
         &MonitorSettings::dim);
    flag("monitorQuiet", tr("Quiet"),
         tr("Quiet check: lowers the monitoring by 30 dB. Parts that vanish now are too low in the mix. (Q)"), 0, 2, 2,
         &MonitorSettings::quiet);
    sides("monitorMono", tr("Mono"),
          tr("Sums left and right, as phones and clubs play it. Use it to find losses in mono. (O)"), 0, 4, 2,
          Sides::mono);
    sides("monitorLeft", tr("Left"), tr("Plays the left channel alone, on both speakers."), 1, 0, 2, Sides::left);
    sides("monitorRight", tr("Right"), tr("Plays the right channel alone, on both speakers."), 1, 2, 2, Sides::right);
    sides("monitorSwap", tr("Swap"),
          tr("Swaps left and right. Use it to check whether the balance depends on your room."), 1, 4, 2,
          Sides::swapped);
    sides("monitorSide", tr("M/S side"), tr("Plays the M/S side signal: the part that is lost in mono."), 2, 0, 3,
          Sides::side);
}

void Mains::add_playback() {
    playback_ = add_switch(
        "monitorPlayback", tr("Speaker check"),
        tr("Plays the mix as a small system would: with its limited spectrum, and in mono where the system is mono."),
        3, 0, 6);
    struct System {
        QString name, does;
    };
    const System systems[] = {
        {tr("Loudspeakers"), tr("the unaltered mix")},
        {tr("Phone"), tr("one small speaker: nothing below 450 Hz, mono")},
        {tr("Laptop"), tr("little below 200 Hz, a bump at 700 Hz")},
        {tr("Kitchen radio"), tr("no low end, no top, mono")},
        {tr("Earphones"), tr("a lift below 90 Hz and at 3 kHz")},
        {tr("Car"), tr("6 dB more below 100 Hz, less around 350 Hz")},
        {tr("Club, mono"), tr("6 dB more below 90 Hz, mono")},
    };
    auto* menu = new QMenu(playback_);
    for (size_t n = 0; n < playback_names.size(); ++n) {
        const auto system = static_cast<Playback>(n);
        auto* action = new PlaybackEntry(
            systems[n].name, systems[n].does,
            [system](double hz) { return response_db(playback_sections(system, 48000.0), hz, 48000.0); }, menu);
        menu->addAction(action);
        action->setObjectName(QString("playback") + playback_names[n]);
        connect(action, &QAction::triggered, this,
                [this, system] { change_monitor([&](auto& m) { m.playback = system; }); });
        connect(menu, &QMenu::aboutToShow, action,
                [this, action, system] { action->setChecked(work_.player.monitor().playback == system); });
    }
    add_correction(menu);
    playback_->setStyleSheet(
        "QToolButton { font-size: 11px; padding: 0; } QToolButton::menu-indicator { image: none; }");
    playback_->setMenu(menu);
    playback_->setPopupMode(QToolButton::InstantPopup);
    switches_.emplace_back(
        playback_, [](const MonitorSettings& m) { return m.playback != Playback::none || m.correction != nullptr; });
}

Result<void> Mains::use_correction(const fs::path& file) {
    auto curve = read_correction(file);
    if (!curve) return tl::unexpected(curve.error());
    change_monitor([&](auto& m) { m.correction = std::make_shared<const CorrectionCurve>(std::move(*curve)); });
    return {};
}

void Mains::add_correction(QMenu* menu) {
    menu->addSeparator();
    QAction* correct = menu->addAction(tr("Own correction…"));
    correct->setObjectName("correctionOpen");
    correct->setToolTip(tr(
        "Loads a correction curve of your room or headphones: a CSV file with a frequency and a gain on each line."));
    connect(correct, &QAction::triggered, this, [this] {
        const auto file = work_.prompter->open_file(tr("Correction"), tr("Curves (*.csv *.txt)"));
        if (!file) return;
        if (const auto done = use_correction(*file); !done)
            return work_.prompter->complain(QString::fromStdString(done.error().text()));
        emit work_.view.correction_chosen(to_qt(*file));
    });
    QAction* plain = menu->addAction(tr("Correction off"));
    plain->setObjectName("correctionOff");
    plain->setToolTip(tr("Plays the mix without the curve again."));
    connect(plain, &QAction::triggered, this, [this] {
        change_monitor([](auto& m) { m.correction = nullptr; });
        emit work_.view.correction_chosen({});
    });
    connect(menu, &QMenu::aboutToShow, plain, [this, plain] {
        const auto& now = work_.player.monitor().correction;
        plain->setVisible(now != nullptr);
        if (now) plain->setText(tr("Correction '%1' off").arg(QString::fromStdString(now->name)));
    });
}

void Mains::add_cross_feed() {
    auto* feed = add_switch(
        "monitorCrossFeed", tr("Cross-feed"),
        tr("For headphones: each ear hears a little of the other channel, as in front of loudspeakers."), 2, 3, 3);
    auto* distances = new QMenu(feed);
    const QString distance_names[] = {tr("None"), tr("Near loudspeakers"), tr("Middle distance"),
                                      tr("Far loudspeakers")};
    for (size_t n = 0; n < cross_feed_names.size(); ++n) {
        const auto distance = static_cast<CrossFeed>(n);
        QAction* action = distances->addAction(distance_names[n]);
        action->setObjectName(QString("crossFeed") + cross_feed_names[n]);
        action->setCheckable(true);
        connect(action, &QAction::triggered, this,
                [this, distance] { change_monitor([&](auto& m) { m.cross_feed = distance; }); });
        connect(distances, &QMenu::aboutToShow, action,
                [this, action, distance] { action->setChecked(work_.player.monitor().cross_feed == distance); });
    }
    feed->setStyleSheet("QToolButton { font-size: 11px; padding: 0; } QToolButton::menu-indicator { image: none; }");
    feed->setMenu(distances);
    feed->setPopupMode(QToolButton::InstantPopup);
    switches_.emplace_back(feed, [](const MonitorSettings& m) { return m.cross_feed != CrossFeed::off; });
}

QString Mains::warning() const {
    const MonitorSettings& m = work_.player.monitor();
    QStringList on;
    if (work_.player.hearing() == Player::Hearing::at_rest) on << tr("Faders at zero (0)");
    if (work_.document.session().any_solo()) on << tr("solo");
    if (work_.player.hearing() == Player::Hearing::track) on << tr("one track alone");
    if (work_.player.hearing() == Player::Hearing::low_end) on << tr("the low end alone");
    if (work_.player.hearing() == Player::Hearing::under) on << tr("some tracks alone");
    if (work_.comparison.blind())
        on << tr("blind comparison");
    else if (work_.player.heard_compared())
        on << tr("not the mix (F6)");
    if (m.matched_db < -0.05) on << tr("%1 for comparing").arg(db_text(m.matched_db, "dB"));
    if (!work_.player.listened().empty())
        on << (work_.player.listened_where() == Player::Listen::before_fader ? tr("before the fader")
                                                                             : tr("after the fader"));
    if (m.quiet) on << tr("Quiet");
    if (m.dim) on << tr("Dim");
    const QString sides[] = {
        {}, tr("Mono"), tr("left channel"), tr("right channel"), tr("left and right swapped"), tr("M/S side")};
    if (m.sides != Sides::stereo) on << sides[static_cast<size_t>(m.sides)];
    const QString systems[] = {{}, tr("phone"), tr("laptop"), tr("radio"), tr("Earphones"), tr("car"), tr("club")};
    if (m.playback != Playback::none) on << systems[static_cast<size_t>(m.playback)];
    if (m.cross_feed != CrossFeed::off) on << tr("Cross-feed");
    if (m.correction) on << tr("own correction");
    return on.isEmpty() ? QString() : tr("monitoring: %1").arg(on.join(", "));
}

void Mains::refresh() {
    fader_->refresh();
    level_->refresh();
    for (const auto& [button, is_on] : switches_) button->setChecked(is_on(work_.player.monitor()));
    const Session& session = work_.document.session();
    chain_->setVisible(!session.main_chain.empty());
    chain_->setChecked(!session.main_chain_out && !session.chains_out);
    const auto& peak = work_.mix.peak();
    setAccessibleName(
        tr("Main output, whole-song peak %1").arg(peak ? level_text(peak->dbfs, "dBFS") : tr("not known yet")));
    update(QRegion(rect()) - childrenRegion());  // the buttons stay as they are
}

int Mains::room_of_meter() const { return height() - 132 - 108 - (folded_ ? 26 : 121); }

QRect Mains::gauge() const {
    return QRect(42, 132, 44, room_of_meter() - (spectrum_->isHidden() ? 0 : spectrum_height + 6));
}

void Mains::show_spectrum(bool shown) {
    wants_spectrum_ = shown;
    // Not where the meter would have no room left.
    constexpr int least_meter = 120;
    spectrum_->setVisible(shown && room_of_meter() - spectrum_height - 6 >= least_meter);
    update();
}

int Mains::gauge_y(double db) const {
    const double share = (std::clamp(db, -48.0, 6.0) + 48.0) / 54.0;
    return gauge().bottom() - static_cast<int>(std::lround(share * (gauge().height() - 1)));
}

void Mains::mousePressEvent(QMouseEvent* event) {
    if (warning_area().contains(event->position().toPoint()) && !warning().isEmpty()) {
        work_.hear_the_mix();
        return work_.edits.all_off(Editing::Flag::solo);
    }
    const auto& peak = work_.mix.peak();
    if (event->position().y() < 120 && peak && peak->dbfs) work_.player.locate(std::max(0.0, peak->time_s - 1.0));
    if (gauge().adjusted(-44, -4, 60, 60).contains(event->position().toPoint())) work_.player.reset_main_meter();
}

void Mains::mouseMoveEvent(QMouseEvent* event) {
    if (warning_area().contains(event->position().toPoint()) && !warning().isEmpty())
        emit work_.view.hint(tr("Returns to the unaltered mix. The correction of your room stays."));
    else if (event->position().y() < 120)
        emit work_.view.hint(
            tr("The highest sample peak of the whole song, with the current settings. Click to go to just before it."));
    else
        emit work_.view.hint(
            tr("The live level of the main output; the bracket is its target window. Click to reset peak hold and clip "
               "light."));
}

void Mains::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    painter.setPen(theme().rule);
    painter.drawLine(0, 0, 0, height());
    paint_song_peak(painter);
    if (const QString warning = this->warning(); !warning.isEmpty()) {
        const QRect stripe = warning_area();
        painter.fillRect(stripe, theme().above);
        painter.setFont(lettering(11, true));
        painter.setPen(theme().ground);
        write_in(painter, stripe.adjusted(15, 0, -4, 0), warning);
    }
    paint_figures(painter);
    paint_gauge(painter);
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    painter.drawText(QRect(16, height() - 88, 60, 16), Qt::AlignVCenter, tr("monitor"));
    painter.drawText(QRect(16, height() - 62, 100, 16), Qt::AlignVCenter, tr("main fader"));
    painter.setPen(theme().text);
    painter.drawText(QRect(100, height() - 62, width() - 112, 16), Qt::AlignVCenter | Qt::AlignRight, fader_->shown());
}

QString Mains::peak_title() const {
    if (!work_.materials.shaping()) return tr("Main: whole-song peak");
    return work_.mix.at_most_dbfs() ? tr("Peak after this change: up to") : tr("Peak before this change");
}

void Mains::paint_song_peak(QPainter& painter) {
    const TargetSheet& sheet = work_.document.session().targets;
    const auto& peak = work_.mix.peak();
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    write_in(painter, QRect(16, 8, width() - 24, 16), peak_title());
    painter.setFont(lettering(22));
    if (!peak || !peak->dbfs) {
        painter.drawText(QRect(16, 26, width() - 24, 30), Qt::AlignVCenter,
                         work_.materials.waiting() > 0 || (work_.mix.busy() && !work_.document.session().tracks.empty())
                             ? tr("measuring…")
                             : tr("silent"));
        return;
    }
    const bool before = work_.materials.shaping();
    const double db = before ? work_.mix.at_most_dbfs().value_or(*peak->dbfs) : *peak->dbfs;
    const bool over = db > sheet.mains_high_dbfs, under = db < sheet.mains_low_dbfs;
    QColor colour = theme().inside;
    if (db > 0.0)
        colour = theme().clipped;
    else if (over)
        colour = theme().above;
    else if (under)
        colour = theme().below;
    painter.setPen(before ? theme().faint : theme().text);
    painter.drawText(QRect(16, 26, width() - 24, 30), Qt::AlignVCenter, db_text(db, "dBFS", true));
    painter.fillRect(16, 58, width() - 32, 4, colour);
    if (over) painter.fillRect(width() - 40, 54, 24, 4, colour);  // the raised notch
    painter.setFont(lettering(13));
    QString words = tr("inside its window");
    if (db > 0.0)
        words = tr("clips: %1 over").arg(db_text(db - sheet.mains_high_dbfs));
    else if (over)
        words = tr("%1 above its window").arg(db_text(db - sheet.mains_high_dbfs));
    else if (under)
        words = tr("%1 below its window").arg(db_text(sheet.mains_low_dbfs - db));
    write_in(painter, QRect(16, 66, width() - 24, 18), words);
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    write_in(painter, QRect(16, 86, width() - 24, 16),
             tr("at %1; target %2 … %3")
                 .arg(time_text(peak->time_s), scale_text(sheet.mains_low_dbfs), scale_text(sheet.mains_high_dbfs)));
    if ((before || work_.mix.busy()) && warning().isEmpty())
        write_in(painter, QRect(16, 104, width() - 24, 16), tr("measuring the change…"));
}

void Mains::paint_gauge(QPainter& painter) {
    const TargetSheet& sheet = work_.document.session().targets;
    const MeterBoard& meters = work_.player.meters();
    const QRect g = gauge();
    painter.setFont(lettering(11));
    const double lines_db = g.height() < 9 * 15 ? 12.0 : 6.0;  // their figures are 15 px high
    for (double db = lines_db == 6.0 ? 6.0 : 0.0; db >= -48.0; db -= lines_db) {
        const int y = gauge_y(db);
        painter.setPen(theme().scale);
        painter.drawLine(g.left() - 6, y, g.right() + 6, y);
        painter.setPen(db == 0.0 ? theme().text : theme().faint);
        painter.drawText(QRect(g.left() - 42, y - 8, 34, 16), Qt::AlignRight | Qt::AlignVCenter,
                         scale_text(db, "", true));
    }
    for (int c = 0; c < 2; ++c) {
        const MeterBar& bar = meters.main[c];
        const QRect track(g.left() + c * 24, g.top(), 18, g.height());
        painter.fillRect(track, theme().rule);
        const auto part = [&](double from_db, double to_db, const QColor& colour, int wider) {
            if (to_db <= from_db) return;
            painter.fillRect(
                QRect(QPoint(track.left() - wider, gauge_y(to_db)), QPoint(track.right() + wider, gauge_y(from_db))),
                colour);
        };
        part(-48.0, std::min(bar.level_db, sheet.mains_low_dbfs), theme().below, 0);
        part(sheet.mains_low_dbfs, std::min(bar.level_db, sheet.mains_high_dbfs), theme().inside, 0);
        part(sheet.mains_high_dbfs, std::min(bar.level_db, 0.0), theme().above, 2);
        part(0.0, bar.level_db, theme().clipped, 2);
        if (bar.hold_db > -48.0)
            painter.fillRect(track.left() - 1, gauge_y(bar.hold_db) - 1, track.width() + 2, 2, theme().text);
    }
    // The target window as a bracket, and the whole-song peak as a pointer beside it.
    painter.setPen(QPen(theme().inside, 2));
    const int high = gauge_y(sheet.mains_high_dbfs), low = gauge_y(sheet.mains_low_dbfs), x = g.right() + 12;
    painter.drawLine(x, high, x, low);
    painter.drawLine(x - 5, high, x, high);
    painter.drawLine(x - 5, low, x, low);
    if (const auto& peak = work_.mix.peak(); peak && peak->dbfs) {
        const int y = gauge_y(*peak->dbfs);
        painter.setPen(theme().text);
        painter.setBrush(theme().text);
        painter.drawPolygon(QPolygon({QPoint(x + 5, y), QPoint(x + 13, y - 5), QPoint(x + 13, y + 5)}));
        painter.setBrush(Qt::NoBrush);
    }
}

bool Mains::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    if (!figures().contains(help->pos())) return QWidget::event(event);
    // In the order in which they are painted.
    const QString texts[] = {
        tr("The highest sample peak that was played since the last reset. A click on the meter starts again."),
        tr("The peak of the wave between its samples, as a converter makes it. Keep it below −1 dBTP when files become "
           "MP3."),
        plain_rms() ? tr("The RMS average of what plays now, as plain mathematics has it. It tells how loud a passage "
                         "is, not whether it clips.")
                    : tr("The RMS average of what plays now (AES17: a full-scale sine reads 0 dBFS). It tells how loud "
                         "a passage is, not whether it clips."),
        tr("A quasi-peak meter (PPM): it shows peaks that last about 10 ms or longer. Use it where broadcasters ask "
           "for it."),
        tr("Loudness of the last 3 seconds (LUFS short term). Compare verse and chorus by it."),
        tr("Loudness of all that was played since the start (LUFS integrated). Streaming services level songs by it."),
        tr("How alike left and right are: +1 is mono, 0 unrelated, below 0 cancels in mono. Keep it above 0.")};
    const auto n = static_cast<size_t>((help->pos().y() - figures().top()) / std::max(1, figure_step()));
    if (n < std::size(texts) && static_cast<int>(n + 1) * figure_step() <= std::max(figures().height(), figure_step()))
        QToolTip::showText(help->globalPos(), texts[n], this);
    return true;
}

void Mains::paint_figures(QPainter& painter) {
    const MeterBoard& meters = work_.player.meters();
    const LiveMix& live = work_.player.live();
    const QRect area = figures();
    const double highest = std::max(meters.main[0].highest_db, meters.main[1].highest_db);
    const Level correlation = live.correlation();
    const auto or_dash = [](double db) { return db > -90.0 ? db_text(db, "dBFS") : QString(QChar(0x2013)); };
    const std::pair<QString, QString> lines[] = {
        {tr("highest heard"), std::isfinite(highest) ? db_text(highest, "dBFS") : QString(QChar(0x2013))},
        {tr("true peak"), level_text(live.true_peak_dbtp(), "dBTP")},
        {plain_rms() ? tr("average plain") : tr("average AES17"),
         meters.main_average_db > -90.0 ? average_text(meters.main_average_db) : QString(QChar(0x2013))},
        {tr("PPM"), or_dash(meters.main_programme_db)},
        {tr("short term"), level_text(live.short_term_lufs(), "LUFS")},
        {tr("integrated"), level_text(live.integrated_lufs(), "LUFS")},
        {tr("correlation"), correlation ? correlation_text(*correlation) : QString(QChar(0x2013))}};
    const int step = figure_step();
    int y = area.top();
    for (const auto& [what, figure] : lines) {
        if (y + lowest_figure > area.bottom() + 1 && y > area.top())
            break;  // the first ones are what is looked at most
        painter.setFont(lettering(11));
        painter.setPen(theme().faint);
        write_in(painter, QRect(area.left(), y, area.width(), 14), what, Qt::AlignRight | Qt::AlignVCenter);
        painter.setPen(theme().text);
        painter.drawText(QRect(area.left(), y + 13, area.width(), 15), Qt::AlignRight | Qt::AlignVCenter, figure);
        y += step;
    }
}

}  // namespace isotonus
