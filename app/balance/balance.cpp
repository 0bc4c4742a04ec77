#include "app/balance/balance.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QPushButton>

#include "app/balance/balance_columns.h"
#include "app/balance/balance_panel.h"
#include "app/balance/bus_block.h"
#include "app/balance/field.h"

namespace isotonus {

QString BalanceStation::title() const { return QCoreApplication::translate("Station", "Balance"); }

QString BalanceStation::state(const Workspace& work) const {
    const auto& peak = work.mix.peak();
    if (!peak || !peak->dbfs || work.document.session().tracks.empty()) return {};
    const TargetSheet& sheet = work.document.session().targets;
    if (*peak->dbfs > sheet.mains_high_dbfs)
        return QCoreApplication::translate("Station", "%1 too hot").arg(db_text(*peak->dbfs - sheet.mains_high_dbfs));
    if (*peak->dbfs < sheet.mains_low_dbfs)
        return QCoreApplication::translate("Station", "%1 of headroom")
            .arg(db_text(sheet.mains_high_dbfs - *peak->dbfs));
    return QCoreApplication::translate("Station", "inside its window");
}

QWidget* BalanceStation::make_pinned(Workspace& work, QWidget* parent) const {
    return new BusBlock(work, parent, false,
                        [&work](TrackId id, QWidget* row) -> Lane* { return new BusLane(work, id, row); });
}

QWidget* BalanceStation::make_panel(Workspace& work, QWidget* parent) const { return new BalancePanel(work, parent); }

QWidget* BalanceStation::make_view(Workspace& work, QWidget* parent) const { return new Field(work, parent); }

void BalanceStation::paint_ruler(QPainter& painter, const QRect& area, const Workspace& work) const {
    if (work.view.balance.field_shown) return;  // the field has its own scales
    const BalanceColumns columns(area.width());
    const QRect figures(0, area.top() + area.height() / 2 - 2, area.width(), area.height() / 2 + 2);
    columns.fader_ruler().paint(painter, figures);
    columns.level_ruler().paint(painter, figures);
    painter.setFont(lettering(11));
    painter.setPen(theme().faint);
    const auto word = [&](const QRect& rect, Qt::Alignment alignment, const QString& text) {
        write_in(painter, QRect(rect.left(), area.top(), rect.width(), area.height() / 2), text,
                 alignment | Qt::AlignVCenter);
    };
    word({BalanceColumns::gap, 0, columns.fader_end, 1}, Qt::AlignLeft,
         QCoreApplication::translate("Station", "fader, dB"));
    const QString peak = QCoreApplication::translate("Station", "peak, dBFS");
    const int peak_right = columns.peak_text(1).right(),
              peak_left = peak_right - painter.fontMetrics().horizontalAdvance(peak);
    const int level_room = peak_left - 6 - columns.level_start;
    QString level = "dBFS";
    for (const QString& fuller : {QCoreApplication::translate("Station", "level, dBFS"),
                                  QCoreApplication::translate("Station", "after the fader, dBFS")})
        if (painter.fontMetrics().horizontalAdvance(fuller) <= level_room) level = fuller;
    word({columns.level_start, 0, level_room, 1}, Qt::AlignLeft, level);
    word({peak_left - 2, 0, peak_right - peak_left + 2, 1}, Qt::AlignRight, peak);
    word({area.width() - BalanceColumns::pan + 12, 0, 60, 1}, Qt::AlignLeft,
         QCoreApplication::translate("Station", "pan"));
    if (work.mix.audibility_wanted())
        word(columns.audible_area(1).adjusted(0, 0, -8, 0), Qt::AlignRight,
             work.mix.share_listened() < 1.0 ? QString("%1 %").arg(std::lround(100.0 * work.mix.share_listened()))
                                             : QCoreApplication::translate("Station", "heard"));
    const QRect pan = columns.pan_area(1);
    for (const auto& [at, letter] : {std::pair{-1.0, "L"}, std::pair{0.0, "C"}, std::pair{1.0, "R"}})
        painter.drawText(QRect(pan_x(pan, at) - 10, figures.top(), 20, figures.height() - 3), Qt::AlignCenter, letter);
}

std::vector<Station::Head> BalanceStation::heads(const QRect& area) const {
    const BalanceColumns columns(area.width());
    const QRect pan = columns.pan_area(1), heard = columns.audible_area(1), peak = columns.peak_text(1);
    const auto part = [&](int from, int to) { return QRect(from, area.top(), to - from, area.height()); };
    return {{part(0, columns.level_start),
             QCoreApplication::translate(
                 "Station", "The fader of each track. Drag it, or double click the figure to type a level.")},
            {part(columns.level_start, columns.level_end),
             QCoreApplication::translate("Station",
                                         "The live level after the fader. The tick is the peak of the whole song.")},
            {part(columns.level_end, heard.left()),
             QCoreApplication::translate(
                 "Station",
                 "The peak of the whole song after the fader. Double click it to type a peak; the fader follows.")},
            {part(std::min(heard.left(), peak.right()), pan.left()),
             QCoreApplication::translate(
                 "Station", "How much of the track is heard beside the others, when audibility is shown (U).")},
            {part(pan.left(), area.right()),
             QCoreApplication::translate("Station", "The pan of each track. Drag it, or press P to type it.")}};
}

QWidget* BalanceStation::make_tools(Workspace& work, QWidget* parent) const {
    auto* tools = new QWidget(parent);
    auto* layout = new QHBoxLayout(tools);
    layout->setContentsMargins(0, 0, 0, 0);
    const auto set_all = [&work](const QString& name, double db) {
        Session next = work.document.session();
        for (const auto& t : work.document.session().tracks)
            next = with_track(next, t->id, [db](Track& track) { track.fader_db = db; });
        work.document.edit(name, std::move(next));
    };
    auto* down = new QPushButton(QCoreApplication::translate("Station", "All down"));
    down->setObjectName("allDown");
    down->setToolTip(QCoreApplication::translate(
        "Station", "Turns all faders all the way down. Then bring in the tracks one at a time."));
    QObject::connect(down, &QPushButton::clicked, tools,
                     [set_all] { set_all(QCoreApplication::translate("Station", "All faders down"), silence_db); });
    auto* zero = new QPushButton(QCoreApplication::translate("Station", "All 0 dB"));
    zero->setObjectName("allToZero");
    zero->setToolTip(QCoreApplication::translate("Station", "Sets all faders to 0 dB, as after staging."));
    QObject::connect(zero, &QPushButton::clicked, tools,
                     [set_all] { set_all(QCoreApplication::translate("Station", "All faders to 0 dB"), 0.0); });
    auto* field = new QPushButton(QCoreApplication::translate("Station", "Field"));
    field->setObjectName("fieldOpen");
    field->setCheckable(true);
    field->setChecked(work.view.balance.field_shown);
    field->setToolTip(QCoreApplication::translate(
        "Station", "Shows the tracks as points: across is pan, up is level, size is bandwidth. (V)"));
    QObject::connect(field, &QPushButton::clicked, tools, [&work](bool on) { work.view.balance.show_field(on); });
    QObject::connect(&work.view.balance, &BalanceView::field_changed, field,
                     [&work, field] { field->setChecked(work.view.balance.field_shown); });
    layout->addWidget(down);
    layout->addWidget(zero);
    layout->addWidget(field);
    layout->addStretch();
    layout->setSpacing(3);
    for (QPushButton* b : tools->findChildren<QPushButton*>()) b->setStyleSheet("font-size: 11px; padding: 4px 3px;");
    return tools;
}

}  // namespace isotonus
