// The fields of the chosen processor in the bench of Shape.
#include "app/shape/shape_panel.h"
#include "app/style/figure_box.h"

#include "app/desk/ride_menu.h"

#include <fmt/format.h>
#include <QCoreApplication>
#include <QHBoxLayout>
#include <QPainter>
#include <QPointer>
#include <QVBoxLayout>
#include <algorithm>
#include <array>
#include <cmath>
#include <cstring>

#include "app/desk/make_way.h"
#include "app/desk/row_head.h"
#include "app/shape/plugin_dialog.h"
#include "app/songmap/tempo_window.h"
#include "app/style/text.h"
#include "app/style/theme.h"
#include "core/session/difference.h"
#include "core/session/presets.h"
#include "core/session/routing.h"
#include "core/shape/cuts.h"
#include "core/shape/delay.h"
#include "core/shape/equaliser.h"
#include "core/shape/parameter_help.h"
#include "core/shape/parameter_label.h"
#include "core/shape/reverb.h"
#include "core/shape/room_response.h"
#include "core/words.h"

namespace isotonus {

namespace {

/// A number that may be typed as a note value too.
class TimeBox : public FigureBox {
  public:
    std::function<std::optional<double>(const QString&)> from_note;
    std::function<bool()> ask_tempo;  ///< whether the song has one by then

  protected:
    /// A note value that is typed before the song has a tempo asks for it here.
    void fixup(QString& text) const override {
        if (asking_ || !from_note || !text.contains('/')) return FigureBox::fixup(text);
        asking_ = true;
        const auto value = ask_tempo() ? from_note(text) : std::nullopt;
        asking_ = false;
        text = textFromValue(value.value_or(this->value())) + suffix();
    }
    QValidator::State validate(QString& text, int& at) const override {
        if (from_note && text.contains('/')) return from_note(text) ? QValidator::Acceptable : QValidator::Intermediate;
        return FigureBox::validate(text, at);
    }
    double valueFromText(const QString& text) const override {
        if (const auto value = from_note ? from_note(text) : std::nullopt) return *value;
        return FigureBox::valueFromText(text);
    }

  private:
    mutable bool asking_ = false;
};

}  // namespace

void ShapePanel::fill_form() {
    const size_t at = position();
    const Processor* chosen = at < shown_.size() ? &shown_[at] : nullptr;
    const ProcessorType* chosen_type = chosen ? processor_type(chosen->type) : nullptr;
    const bool by_level = chosen_type && turns_down(*chosen_type);
    if (by_level) levels_->show_processor(chosen->id);
    const bool repeats = chosen_type == &delay_type();
    QWidget* shown = picture_;
    if (by_level)
        shown = levels_;
    else if (repeats)
        shown = taps_;
    pictures_->setCurrentWidget(shown);
    picture_->update();  // what is chosen is drawn into it
    taps_->update();
    QString form_of = QString::number(row_);
    const Send* send = chosen_send();
    const Session& session = work_.document.session();
    if (send) form_of += QString(" send %1").arg(send->id);
    if (chosen && chosen->type == "equaliser" && equaliser_ != std::pair(row_, chosen->id)) {
        // Another one: its first band that is on.
        equaliser_ = {row_, chosen->id};
        const auto is_on = [chosen](int n) {
            return value_of(*chosen, *parameter_of(*chosen, fmt::format("band{}.in", n + 1))) >= 0.5;
        };
        int& band = work_.view.shape.band;
        for (int n = 0; n < equaliser_bands && !is_on(band); ++n)
            if (is_on(n)) band = n;
    }
    if (chosen) {
        form_of += QString(" %1 %2 ").arg(chosen->id).arg(QString::fromStdString(chosen->type));
        form_of += to_qt(chosen->impulse);
        if (chosen->type == "equaliser") form_of += QString(" band %1").arg(work_.view.shape.band);
        const ProcessorType* type = processor_type(chosen->type);
        if (type && type->keyed) {
            for (const auto& t : session.tracks) form_of += '\n' + QString::fromStdString(t->name);
            for (const Bus& b : session.buses) form_of += '\n' + QString::fromStdString(b.name);
        }
    }
    const QString fault = chosen && chosen->in ? fault_of(at) : QString();
    form_of += '\n' + fault;
    if (form_of == form_of_) {
        show_values();
        return;
    }
    form_of_ = form_of;
    fields_.clear();
    sends_->forget();
    // Later: the field whose value has just changed may still be at work.
    if (QWidget* before = scroll_->takeWidget()) before->deleteLater();
    auto* form = new QWidget;
    auto* layout = new QFormLayout(form);
    layout->setContentsMargins(0, 0, 6, 0);
    layout->setVerticalSpacing(4);
    scroll_->setWidget(form);
    const auto tell = [layout](const QString& sentence) {
        auto* words = new QLabel(sentence);
        words->setWordWrap(true);
        layout->addRow(words);
    };
    if (send) {
        sends_->fill(static_cast<QFormLayout*>(scroll_->widget()->layout()), row_, *send);
        return show_values();
    }
    if (!chosen) {
        tell(tr("No processor is selected. Add one, or double click the picture for a band of the equaliser."));
        return;
    }
    const Processor& p = *chosen;
    const ProcessorType* type = processor_type(p.type);
    if (!type) {
        tell(is_plugin(p.type)
                 ? tr("This plug-in is not installed. It stays in the chain and passes its input through.")
                 : tr("A newer version of Isotonus added this processor. It stays in the chain without effect."));
        return;
    }
    if (!fault.isEmpty()) {
        auto* why = new QLabel(tr("Cannot run: %1. Try again, or remove the processor.").arg(fault));
        why->setObjectName("takenOut");
        why->setWordWrap(true);
        layout->addRow(why);
        auto* again = new QPushButton(tr("Try again"));
        again->setObjectName("tryAgain");
        connect(again, &QPushButton::clicked, this, [this, id = p.type] {
            try_plugin_again(id);
            // One that was never looked at is not started before the user wishes it: this is the wish.
            if (plugin_fault(id))
                work_.plugins.look_at_all();
            else
                emit work_.document.session_changed();
        });
        if (is_plugin(p.type)) layout->addRow(again);
    }
    if (type == &reverb_type()) add_room(p);
    if (type->keyed) add_key(p);
    if (p.type == "equaliser") {
        // The band that is touched, below what the whole of it has.
        for (const ParameterInfo& info : common_parameters().subspan(1)) add_parameter(p, info);
        add_band_choice();
        const std::string band = fmt::format("band{}.", work_.view.shape.band + 1);
        for (const ParameterInfo& info : type->parameters)
            if (std::string_view(info.id).starts_with(band)) add_parameter(p, info);
        return show_values();
    }
    for (const ParameterInfo& info : type->parameters) add_parameter(p, info);
    for (const ParameterInfo& info : common_parameters().subspan(1)) add_parameter(p, info);
    show_values();
}

void ShapePanel::add_room(const Processor& reverb) {
    auto* row = new QWidget;
    auto* layout = new QHBoxLayout(row);
    layout->setContentsMargins(0, 0, 0, 0);
    const auto set = [this, row_id = row_, id = reverb.id](const fs::path& file) {
        const QString name = file.empty() ? tr("Computed room") : tr("Room from %1").arg(to_qt(file.filename()));
        work_.edits.set_chains({row_id}, name, [&](Chain& chain) {
            for (Processor& p : chain)
                if (p.id == id) p.impulse = file;
        });
    };
    // A long name must not widen the form: what does not fit is in the tooltip.
    constexpr int name_width = 80;
    auto* choose = new QPushButton(reverb.impulse.empty() ? tr("Computed")
                                                          : fontMetrics().elidedText(to_qt(reverb.impulse.filename()),
                                                                                     Qt::ElideMiddle, name_width));
    choose->setObjectName("room");
    const QString tip = tr("Loads an impulse response from a file (WAV, FLAC) instead of the computed room.");
    choose->setToolTip(reverb.impulse.empty() ? tip : tip + "\n" + to_qt(reverb.impulse));
    connect(choose, &QPushButton::clicked, this, [this, set] {
        const auto file = work_.prompter->open_file(tr("Impulse response"), tr("Audio (*.wav *.flac *.aiff)"));
        if (!file) return;
        const auto reading = std::make_shared<Progress>();
        const auto take = [this, set, file = *file, reading](const auto& room) {
            if (reading->cancelled()) return;
            if (room)
                set(file);
            else
                work_.prompter->complain(QString::fromStdString(room.error().text()));
        };
        jobs_.start([file = *file,
                     rate = work_.document.session().sample_rate](Progress&) { return room_response(file, rate); },
                    take, reading);
    });
    layout->addWidget(choose, 1);
    if (!reverb.impulse.empty()) {
        auto* own = new QPushButton(tr("Computed"));
        own->setObjectName("roomComputed");
        connect(own, &QPushButton::clicked, this, [set] { set({}); });
        layout->addWidget(own);
    }
    static_cast<QFormLayout*>(scroll_->widget()->layout())->addRow(tr("room"), row);
}

void ShapePanel::add_band_choice() {
    auto* box = new QComboBox;
    box->setObjectName("band");
    box->setToolTip(tr("The band whose settings are below. A click on a band in the picture selects it too."));
    for (int n = 0; n < equaliser_bands; ++n) box->addItem(QString());
    fields_.push_back([box](const Processor& p) {
        const auto value = [&p](int band, const char* what) {
            return value_of(p, *parameter_of(p, fmt::format("band{}.{}", band + 1, what)));
        };
        for (int n = 0; n < equaliser_bands; ++n)
            box->setItemText(
                n,
                value(n, "in") < 0.5
                    ? tr("%1, bypassed").arg(n + 1)
                    : tr("%1, %2 at %3").arg(n + 1).arg(db_text(value(n, "db"), "dB", true), hz_text(value(n, "hz"))));
    });
    box->setCurrentIndex(work_.view.shape.band);
    connect(box, &QComboBox::activated, this, [this](int n) { work_.view.shape.touch_band(n); });
    static_cast<QFormLayout*>(scroll_->widget()->layout())->addRow(tr("band"), box);
}

void ShapePanel::add_key(const Processor& processor) {
    auto* box = new QComboBox;
    box->setObjectName("key");
    box->addItem(processor_type(processor.type)->by_level ? tr("This track") : tr("None"),
                 QVariant::fromValue<qulonglong>(0));
    // What needs this channel itself would make a circle.
    const Session& session = work_.document.session();
    const auto offer = [&](TrackId id, const std::string& name) {
        if (id == processor.key || !needed_by(session, id).contains(row_))
            box->addItem(QString::fromStdString(name), QVariant::fromValue<qulonglong>(id));
    };
    for (const auto& t : session.tracks) offer(t->id, t->name);
    for (const Bus& b : session.buses) offer(b.id, b.name);
    for (const ControlGroup& g : session.groups) offer(g.id, g.name);
    fields_.push_back([box](const Processor& p) {
        box->setCurrentIndex(std::max(0, box->findData(QVariant::fromValue<qulonglong>(p.key))));
    });
    fields_.back()(processor);
    box->setToolTip(
        tr("The channel whose level controls this processor, before its fader. Choose the kick to duck a bass."));
    connect(box, &QComboBox::activated, this, [this, box, id = processor.id] {
        work_.edits.set_chains({row_}, tr("Sidechain source %1").arg(box->currentText()), [&](Chain& chain) {
            for (Processor& p : chain)
                if (p.id == id) p.key = box->currentData().toULongLong();
        });
    });
    static_cast<QFormLayout*>(scroll_->widget()->layout())->addRow(tr("sidechain source"), box);
}

void ShapePanel::add_parameter(const Processor& processor, const ParameterInfo& info) {
    auto* layout = static_cast<QFormLayout*>(scroll_->widget()->layout());
    const QString name =
        QString::fromStdString(std::string_view(info.id).starts_with("band") ? label_in_band(info) : label_of(info));
    const auto set = [this, id = processor.id, &info](double value) {
        work_.edits.turn(row_, Parameter(info, id), value, 0);
    };
    const auto can_ride = [this, id = processor.id, type = processor.type, &info, layout, name](QWidget* control) {
        const Parameter parameter(info, id);
        auto* label = qobject_cast<QLabel*>(layout->labelForField(control));
        const QString help = QString::fromStdString(help_of(type, info));
        const QString more = control->toolTip();
        control->setToolTip(more.isEmpty() ? help : help + ' ' + more);
        label->setToolTip(help);
        control->setContextMenuPolicy(Qt::CustomContextMenu);
        connect(control, &QWidget::customContextMenuRequested, this, [this, control, parameter](const QPoint& at) {
            open_ride_menu(work_, row_, {parameter}, control->mapToGlobal(at));
        });
        fields_.push_back([this, label, parameter, name](const Processor&) {
            label->setText(work_.writing.is_ridden(row_, parameter) ? name + " \u223c" : name);
        });
        fields_.back()(Processor());
    };
    if (!info.words.empty()) {
        auto* box = new QComboBox;
        for (const char* word : info.words)
            box->addItem(sentence_case(QString::fromStdString(label_of_id(word)).replace('_', ' ')) +
                         (is_slope(info) ? " dB/oct" : ""));
        fields_.push_back(
            [box, &info](const Processor& p) { box->setCurrentIndex(static_cast<int>(value_of(p, info))); });
        fields_.back()(processor);
        box->setObjectName(info.id);
        connect(box, &QComboBox::activated, this, [set](int n) { set(n); });
        layout->addRow(name, box);
        can_ride(box);
        return;
    }
    auto* field = new TimeBox;
    field->setObjectName(info.id);
    field->setRange(info.low, info.high);
    field->setDecimals(info.high > 50.0 ? 1 : 2);
    if (info.high >= 1000.0) field->setDecimals(0);
    field->set_unit(info.unit);
    field->setStepType(info.law == ControlTaper::log ? QAbstractSpinBox::AdaptiveDecimalStepType
                                                     : QAbstractSpinBox::DefaultStepType);
    field->setSingleStep(info.law == ControlTaper::log ? 1.0 : std::max(0.1, (info.high - info.low) / 100.0));
    fields_.push_back([field, &info](const Processor& p) {
        // A field that is being typed into is left alone: what it says is what was just set.
        if (field->hasFocus()) return;
        const QSignalBlocker quiet(field);
        field->setValue(value_of(p, info));
    });
    fields_.back()(processor);
    field->setButtonSymbols(QAbstractSpinBox::NoButtons);
    field->setKeyboardTracking(false);
    if (takes_notes(info)) {
        field->setToolTip(tr("Type a number, or a note value at the tempo of the playhead: 1/8, 1/8. or 1/8t."));
        field->ask_tempo = [this] { return work_.document.session().tempo.empty() && ask_tempo(work_); };
        field->from_note = [this, &info](const QString& text) {
            const QString note = text.trimmed().section(' ', 0, 0);
            return value_from_note(info, work_.document.session().tempo, work_.player.position_s(), note.toStdString());
        };
    }
    connect(field, &QDoubleSpinBox::valueChanged, this, [set](double value) { set(value); });
    layout->addRow(name, field);
    can_ride(field);
}

}  // namespace isotonus
