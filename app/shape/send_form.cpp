#include "app/shape/send_form.h"

#include "app/desk/ride_menu.h"
#include "app/style/figure_box.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QSignalBlocker>

#include "app/style/text.h"
#include "core/session/routing.h"

namespace isotonus {

namespace {

/// A pan, as it is written everywhere: "L 35", "C".
class PanBox : public FigureBox {
  protected:
    QString textFromValue(double value) const override { return pan_text(value); }
    double valueFromText(const QString& text) const override { return parse_pan(text).value_or(0.0); }
    QValidator::State validate(QString& text, int&) const override {
        return parse_pan(text) ? QValidator::Acceptable : QValidator::Intermediate;
    }
};

}  // namespace

void SendForm::fill(QFormLayout* layout, TrackId row_id, const Send& send) {
    row_ = row_id;
    send_ = send.id;
    fields_.clear();
    const TrackId to = send.to;
    const auto put = [this, to](auto change) { work_.edits.set_send(row_, to, change); };
    const auto number = [&](const char* name, const QString& label, double low, double high, const QString& unit,
                            auto value, const ParameterInfo& info) {
        FigureBox* field = unit.isEmpty() ? new PanBox : new FigureBox;
        field->setObjectName(name);
        field->setRange(low, high);
        field->setDecimals(unit.isEmpty() ? 2 : 1);
        field->set_unit(unit);
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
        "sendLevel", tr("level"), -72.5, fader_max_db, "dB", [](const Send& s) { return std::max(s.level_db, -72.5); },
        send_parameters::level);
    level->setSpecialValueText(tr("off"));
    level->setToolTip(tr("How much of this track is sent there. Raise it for more of the effect."));
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
        "sendBefore", tr("tap"), {tr("After the fader"), tr("Before the fader")},
        [](const Send& s) { return s.before_fader; }, [](Send& s, bool on) { s.before_fader = on; })
        ->setToolTip(tr("After the fader, the return follows the level of the track. Before the fader, the return "
                        "stays when the track is pulled down."));
    choice(
        "sendPlace", tr("pan"), {tr("Like the track"), tr("Own pan")}, [](const Send& s) { return s.own_pan; },
        [](Send& s, bool on) { s.own_pan = on; })
        ->setToolTip(tr("Whether the send has the pan of the track or a pan of its own. Its own widens an echo."));
    auto* pan = number(
        "sendPan", tr("own pan"), -1.0, 1.0, QString(), [](const Send& s) { return s.pan; }, send_parameters::pan);
    pan->setToolTip(tr("L 100 is left, C the centre, R 100 right."));
    auto* rides = new QWidget;
    auto* row = new QHBoxLayout(rides);
    row->setContentsMargins(0, 0, 0, 0);
    auto* throwing = new QPushButton(tr("Throw in the loop"));
    throwing->setObjectName("sendThrow");
    throwing->setToolTip(
        tr("Writes a ride that opens this send only inside the loop, for a single word or hit. Set the loop first."));
    connect(throwing, &QPushButton::clicked, this, &SendForm::throw_at_loop);
    auto* lane = new QPushButton(tr("Ride"));
    lane->setObjectName("sendRide");
    lane->setToolTip(tr("Opens the level of this send in Ride."));
    connect(lane, &QPushButton::clicked, this, [this] {
        work_.view.ride.touch(row_, Parameter::of_send(send_parameters::level, send_));
        emit work_.view.hint(tr("The lane of this send is open in Ride (Alt+5)."));
    });
    row->addWidget(throwing);
    row->addWidget(lane);
    layout->addRow(rides);
}

void SendForm::throw_at_loop() {
    const auto loop = work_.player.loop();
    if (loop.to_s <= loop.from_s) {
        emit work_.view.hint(tr("Set a loop around the word first: Shift and drag on the song map."));
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
