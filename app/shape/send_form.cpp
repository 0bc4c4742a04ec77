#include "app/shape/send_form.h"

#include "app/desk/ride_menu.h"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QSignalBlocker>

#include "app/style/text.h"
#include "core/session/routing.h"

namespace isotonus {

void SendForm::fill(QFormLayout* layout, TrackId row_id, const Send& send) {
    row_ = row_id;
    send_ = send.id;
    fields_.clear();
    const TrackId to = send.to;
    const auto put = [this, to](auto change) { work_.edits.set_send(row_, to, change); };
    const auto number = [&](const char* name, const QString& label, double low, double high, const QString& unit,
                            auto value, const ParameterInfo& info) {
        auto* field = new QDoubleSpinBox;
        field->setObjectName(name);
        field->setRange(low, high);
        field->setDecimals(unit.isEmpty() ? 2 : 1);
        field->setSuffix(unit);
        field->setButtonSymbols(QAbstractSpinBox::NoButtons);
        field->setKeyboardTracking(false);
        fields_.push_back([field, value](const Send& s) {
            if (field->hasFocus()) return;
            const QSignalBlocker quiet(field);
            field->setValue(value(s));
        });
        fields_.back()(send);
        const Parameter parameter = Parameter::of_send(info, send_);
        connect(field, &QDoubleSpinBox::valueChanged, this,
                [this, parameter](double v) { work_.edits.turn(row_, parameter, v, 0); });
        layout->addRow(label, field);
        field->setContextMenuPolicy(Qt::CustomContextMenu);
        connect(field, &QWidget::customContextMenuRequested, this, [this, field, parameter](const QPoint& at) {
            open_ride_menu(work_, row_, {parameter}, field->mapToGlobal(at));
        });
        auto* words = qobject_cast<QLabel*>(layout->labelForField(field));
        fields_.push_back([this, words, label, parameter](const Send&) {
            words->setText(work_.writing.is_ridden(row_, parameter) ? label + " \u223c" : label);
        });
        return field;
    };
    auto* level = number(
        "sendLevel", tr("level"), -72.5, fader_max_db, tr(" dB"),
        [](const Send& s) { return std::max(s.level_db, -72.5); }, send_parameters::level);
    level->setSpecialValueText(tr("off"));
    level->setToolTip(tr("How much of this row goes there."));
    const auto choice = [&](const char* name, const QString& label, const QStringList& words, auto value, auto set) {
        auto* box = new QComboBox;
        box->setObjectName(name);
        box->addItems(words);
        fields_.push_back([box, value](const Send& s) { box->setCurrentIndex(value(s) ? 1 : 0); });
        fields_.back()(send);
        connect(box, &QComboBox::activated, this, [put, set](int n) { put([set, n](Send& s) { set(s, n == 1); }); });
        layout->addRow(label, box);
        return box;
    };
    choice(
        "sendBefore", tr("taken"), {tr("after the fader"), tr("before the fader")},
        [](const Send& s) { return s.before_fader; }, [](Send& s, bool on) { s.before_fader = on; })
        ->setToolTip(
            tr("After the fader the return follows the row; before it, it stays when the row is pulled down."));
    choice(
        "sendPlace", tr("placed"), {tr("as the row is"), tr("by a pan of its own")},
        [](const Send& s) { return s.own_pan; }, [](Send& s, bool on) { s.own_pan = on; });
    auto* pan = number(
        "sendPan", tr("pan"), -1.0, 1.0, QString(), [](const Send& s) { return s.pan; }, send_parameters::pan);
    pan->setToolTip(tr("−1 left, 0 centre, +1 right."));
    auto* rides = new QWidget;
    auto* row = new QHBoxLayout(rides);
    row->setContentsMargins(0, 0, 0, 0);
    auto* throwing = new QPushButton(tr("Throw in the loop"));
    throwing->setObjectName("sendThrow");
    throwing->setToolTip(tr("A ride that opens this send in the loop alone: one word, one hit. Set the loop first."));
    connect(throwing, &QPushButton::clicked, this, &SendForm::throw_at_loop);
    auto* lane = new QPushButton(tr("Ride"));
    lane->setObjectName("sendRide");
    lane->setToolTip(tr("Its level in Ride, to be drawn or written."));
    connect(lane, &QPushButton::clicked, this, [this] {
        work_.view.ride.touch(row_, Parameter::of_send(send_parameters::level, send_));
        emit work_.view.hint(tr("Its lane is open in Ride (Alt+5)."));
    });
    row->addWidget(throwing);
    row->addWidget(lane);
    layout->addRow(rides);
}

void SendForm::throw_at_loop() {
    const auto loop = work_.player.loop();
    if (loop.to_s <= loop.from_s) {
        emit work_.view.hint(tr("Drag over the song map with Shift for a loop around the word first."));
        return;
    }
    const Session& session = work_.document.session();
    const Send* send = find_send(session, row_, send_);
    if (!send) return;
    work_.view.ride.touch(row_, Parameter::of_send(send_parameters::level, send_));
    work_.document.edit(
        tr("Throw to %1 at %2").arg(QString::fromStdString(session.name_of(send->to)), time_text(loop.from_s)),
        with_throw(session, row_, *send, loop.from_s, loop.to_s));
}

void SendForm::show(const Send& send) {
    for (const auto& field : fields_) field(send);
}

}  // namespace isotonus
