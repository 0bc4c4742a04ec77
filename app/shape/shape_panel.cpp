#include "app/shape/shape_panel.h"

#include "app/desk/ride_menu.h"

#include <fmt/format.h>
#include <QCoreApplication>
#include <QDoubleSpinBox>
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

/// With the menus inside it, which clear() would leave.
void empty(QMenu& menu) {
    qDeleteAll(menu.findChildren<QMenu*>(QString(), Qt::FindDirectChildrenOnly));
    menu.clear();
}

}  // namespace

ShapePanel::ShapePanel(Workspace& work, QWidget* parent)
    : QWidget(parent), work_(work), sends_(new SendForm(work, this)), advisor_(new Advisor(work, this)) {
    setAttribute(Qt::WA_OpaquePaintEvent);
    setObjectName("shapePanel");
    setFixedHeight(272);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(12, 10, 12, 8);
    row->setSpacing(12);
    auto* column = new QVBoxLayout;
    column->setSpacing(6);
    add_list(column);
    add_menus(column);
    row->addLayout(column);
    row->addLayout(make_middle(), 1);
    scroll_ = new QScrollArea;
    scroll_->setObjectName("shapeForm");
    scroll_->setWidgetResizable(true);
    scroll_->setFrameShape(QFrame::NoFrame);
    scroll_->setFixedWidth(300);
    row->addWidget(scroll_);
    work_with_list();
    connect(&work_.document, &Document::session_changed, this, &ShapePanel::follow);
    // A room that is being read was chosen in the session that was there before.
    connect(&work_.document, &Document::replaced, this, [this] { jobs_.give_up(); });
    connect(&work_.materials, &Materials::reshaped, this, &ShapePanel::follow);
    connect(&work_.document, &Document::selection_changed, this, &ShapePanel::follow);
    connect(&work_.view.shape, &ShapeView::row_changed, this, &ShapePanel::follow);
    connect(&work_.player, &Player::moved, this, &ShapePanel::playhead_moved);
    connect(&work_.view.shape, &ShapeView::band_touched, this, [this] {
        // The fields of a band are those of the equaliser in the picture.
        for (size_t n = 0; n < shown_.size(); ++n)
            if (shown_[n].type == "equaliser" && position() != n) return list_->setCurrentRow(static_cast<int>(n));
        fill_form();
    });
    follow();
}

void ShapePanel::add_list(QVBoxLayout* column) {
    list_ = new QListWidget;
    list_->setObjectName("chainList");
    list_->setAccessibleName(tr("Processors of the selected channel, in order"));
    list_->setFixedWidth(216);
    column->addWidget(list_, 1);
    auto* buttons = new QHBoxLayout;
    buttons->setSpacing(4);
    const auto button = [&](const char* name, const QString& text, const QString& tip) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(tip);
        b->setStyleSheet("padding: 0 4px;");
        buttons->addWidget(b);
        return b;
    };
    auto* add = button("chainAdd", tr("Add"), tr("Adds a processor at the end of the chain, or a send to a bus."));
    auto* types = new QMenu(add);
    types->setObjectName("addMenu");
    fill_add(*types);
    connect(types, &QMenu::aboutToShow, this, [this, types] {
        empty(*types);
        fill_add(*types);
    });
    add->setMenu(types);
    in_ = button(
        "chainIn", tr("Bypass"),
        tr("Bypasses the selected processor, at one loudness. Use it to hear whether the processor helps. (F7)"));
    remove_ = button("chainRemove", tr("Remove"), tr("Removes the selected processor and its rides."));
    up_ = button("chainUp", QString(QChar(0x2191)), tr("Moves the processor earlier in the chain."));
    down_ = button("chainDown", QString(QChar(0x2193)), tr("Moves the processor later in the chain."));
    up_->setAccessibleName(tr("Earlier"));
    down_->setAccessibleName(tr("Later"));
    column->addLayout(buttons);
}

void ShapePanel::add_menus(QVBoxLayout* column) {
    auto* more = new QHBoxLayout;
    more->setSpacing(4);
    const auto menu_button = [&](const char* name, const QString& text, const QString& tip, auto fill) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(tip);
        auto* menu = new QMenu(b);
        connect(menu, &QMenu::aboutToShow, this, [this, menu, fill] {
            empty(*menu);
            (this->*fill)(*menu);
        });
        b->setMenu(menu);
        more->addWidget(b);
        return b;
    };
    menu_button("chainPresets", tr("Presets"),
                tr("Chains stored under a name, and copies of this chain to other tracks."), &ShapePanel::fill_presets);
    menu_button("chainAdvice", tr("Suggestions"),
                tr("Suggestions from the whole song for this track. Each one waits for Apply. (F4)"),
                &ShapePanel::fill_advice)
        ->setShortcut(Qt::Key_F4);
    column->addLayout(more);
}

QVBoxLayout* ShapePanel::make_middle() {
    // Frequencies, or levels while a processor is chosen that turns down by level.
    pictures_ = new QStackedWidget;
    pictures_->addWidget(picture_ = new ShapePicture(work_, this));
    pictures_->addWidget(levels_ = new LevelPicture(work_, this));
    pictures_->addWidget(taps_ = new TapPicture(work_, this));
    auto* middle = new QVBoxLayout;
    middle->setSpacing(4);
    middle->addWidget(pictures_, 1);
    advice_strip_ = new QWidget;
    advice_strip_->setObjectName("adviceStrip");
    auto* strip = new QHBoxLayout(advice_strip_);
    strip->setContentsMargins(0, 0, 0, 0);
    advice_text_ = new QLabel;
    advice_text_->setObjectName("adviceText");
    advice_text_->setWordWrap(true);
    strip->addWidget(advice_text_, 1);
    take_ = new QPushButton(tr("Apply"));
    take_->setObjectName("adviceTake");
    take_->setToolTip(tr("Applies the suggestion as ordinary settings, in one undo step."));
    strip->addWidget(take_);
    auto* leave = new QPushButton(tr("Dismiss"));
    leave->setToolTip(tr("Closes the suggestion. The chain stays as it is."));
    leave->setObjectName("adviceLeave");
    strip->addWidget(leave);
    advice_strip_->hide();
    middle->addWidget(advice_strip_);
    connect(take_, &QPushButton::clicked, advisor_, &Advisor::take);
    connect(leave, &QPushButton::clicked, this, [this] {
        advisor_->leave();
        picture_->show_cover({});
    });
    connect(advisor_, &Advisor::changed, this, [this] {
        advice_text_->setText(advisor_->text());
        take_->setVisible(advisor_->can_take());
        advice_strip_->setVisible(!advisor_->text().isEmpty());
    });
    return middle;
}

void ShapePanel::work_with_list() {
    connect(in_, &QPushButton::clicked, this, [this] { work_.edits.take_out_or_in(row_, position()); });
    connect(remove_, &QPushButton::clicked, this, [this] {
        if (const Send* send = chosen_send()) {
            work_.document.edit(
                tr("Remove the send to %1").arg(QString::fromStdString(work_.document.session().name_of(send->to))),
                without_send(work_.document.session(), row_, send->id));
            return;
        }
        work_.edits.set_chains({row_}, tr("Remove a processor"), [at = position()](Chain& chain) {
            if (at < chain.size()) chain.erase(chain.begin() + static_cast<std::ptrdiff_t>(at));
        });
    });
    connect(up_, &QPushButton::clicked, this, [this] { move(-1); });
    connect(down_, &QPushButton::clicked, this, [this] { move(1); });
    connect(list_, &QListWidget::currentRowChanged, this, [this](int at) {
        if (at >= 0) work_.view.shape.position = static_cast<size_t>(at);
        for (QPushButton* b : {up_, down_}) b->setEnabled(position() < shown_.size());
        fill_form();
    });
}

void ShapePanel::show_values() {
    const Chain* now = work_.writing.chain_now(row_);
    if (now && position() < now->size())
        for (const auto& show : fields_) show((*now)[position()]);
    if (const Send* send = chosen_send()) sends_->show(work_.writing.send_now(row_, *send));
}

void ShapePanel::playhead_moved() {
    const Rides* rides = work_.document.session().rides_of(row_);
    if (!isVisible() || !rides || (!rides->any() && !work_.writing.any())) return;
    show_values();
    pictures_->currentWidget()->update();
}

ShapePanel::~ShapePanel() {
    if (hearing_cut_) work_.player.hear_instead(nullptr);
}

std::vector<TrackId> ShapePanel::rows_meant() const {
    return work_.document.track(row_) ? work_.document.selected() : std::vector<TrackId>{row_};
}

namespace {

/// What was copied last, for as long as the program runs.
Chain& copied_chain() {
    static Chain chain;
    return chain;
}

}  // namespace

void ShapePanel::fill_add(QMenu& menu) {
    for (const ProcessorType* type : processor_types()) {
        QAction* action = menu.addAction(sentence_case(QString::fromStdString(word_of(type->id))));
        action->setObjectName(QString("add_") + type->id);
        action->setToolTip(QString::fromStdString(help_of(type->id)));
        connect(action, &QAction::triggered, this, [this, type] {
            work_.edits.set_chains(rows_meant(), tr("Add %1").arg(QString::fromStdString(word_of(type->id))),
                                   [type, on_return = is_return(work_.document.session(), row_)](Chain& chain) {
                                       chain.push_back(new_insert(*type, chain, on_return));
                                   });
            if (!shown_.empty()) list_->setCurrentRow(static_cast<int>(shown_.size()) - 1);
        });
    }
    QAction* outside = menu.addAction(tr("Plug-in…"));
    outside->setObjectName("add_plugin");
    outside->setToolTip(tr("An LV2 plug-in of this machine. It runs in a process of its own."));
    connect(outside, &QAction::triggered, this, [this] {
        PluginDialog dialog(this);
        if (dialog.exec() != QDialog::Accepted || !dialog.chosen()) return;
        const ProcessorType* type = dialog.chosen();
        work_.edits.set_chains(rows_meant(), tr("Add %1").arg(QString::fromStdString(word_of(type->id))),
                               [type, on_return = is_return(work_.document.session(), row_)](Chain& chain) {
                                   chain.push_back(new_insert(*type, chain, on_return));
                               });
        if (!shown_.empty()) list_->setCurrentRow(static_cast<int>(shown_.size()) - 1);
    });
    const Session& session = work_.document.session();
    if (!session.sends_of(row_)) return;  // the main output sends nowhere
    menu.addSeparator();
    for (const Bus& bus : session.buses) {
        if (feeds(session, bus.id, row_)) continue;
        QAction* action = menu.addAction(tr("Send to %1").arg(QString::fromStdString(bus.name)));
        action->setObjectName("send_" + QString::fromStdString(bus.name));
        action->setToolTip(tr("A copy of the track goes to the bus, at a level of its own."));
        connect(action, &QAction::triggered, this, [this, to = bus.id] {
            Session next = work_.document.session();
            constexpr double first_db = -12.0;
            for (const TrackId row : rows_meant()) {
                const Sends* now = next.sends_of(row);
                if (!now || std::any_of(now->begin(), now->end(), [to](const Send& s) { return s.to == to; })) continue;
                if (auto sent = with_send(next, row, to, [](Send& s) { s.level_db = first_db; })) next = *sent;
            }
            work_.document.edit(tr("Send to %1").arg(QString::fromStdString(next.name_of(to))), std::move(next));
            for (size_t n = 0; n < shown_sends_.size(); ++n)
                if (shown_sends_[n].to == to) list_->setCurrentRow(static_cast<int>(shown_.size() + n));
        });
    }
    QMenu* returns = menu.addMenu(tr("Send to a new return"));
    returns->setObjectName("newReturn");
    returns->menuAction()->setToolTip(tr("Makes a bus with an effect, and a send to it. Several tracks can share it."));
    const auto offer = [&](QMenu& into, const Preset& preset, const char* prefix, double send_db, double fader_db) {
        const QString name = QString::fromStdString(translated(preset.name.c_str()));
        QAction* action = into.addAction(name);
        action->setObjectName(prefix + name);
        action->setToolTip(QString::fromStdString(translated(preset.purpose.c_str())));
        connect(action, &QAction::triggered, this, [this, name, send_db, fader_db, chain = for_a_return(preset.chain)] {
            work_.edits.make_return(rows_meant(), name, chain, send_db, fader_db);
            if (!shown_sends_.empty()) list_->setCurrentRow(list_->count() - 1);
        });
    };
    const std::vector<Preset> presets = all_presets();
    for (const Preset& preset : presets)
        if (suits_a_return(preset.chain)) offer(*returns, preset, "return_", -12.0, 0.0);
    // Beside the rows goes all of them, and little of it back.
    if (const Preset* pressed = find_preset(presets, parallel_preset)) {
        QMenu* beside = menu.addMenu(tr("In parallel"));
        beside->setObjectName("newParallel");
        beside->menuAction()->setToolTip(tr("Adds a strongly compressed copy below the track."));
        offer(*beside, *pressed, "parallel_", 0.0, -12.0);
    }
}

const Send* ShapePanel::chosen_send() const {
    const size_t at = position() - shown_.size();
    return position() >= shown_.size() && at < shown_sends_.size() ? &shown_sends_[at] : nullptr;
}

void ShapePanel::use_preset(const Preset& preset, const QString& name) {
    const Session& session = work_.document.session();
    const auto rows = rows_meant();
    const auto has_chain = [&](TrackId row) { return session.chain_of(row) && !session.chain_of(row)->empty(); };
    bool append = false;
    if (const auto first = std::find_if(rows.begin(), rows.end(), has_chain); first != rows.end()) {
        const QString text = tr("%1 already has a chain. Put '%2' behind it, or replace it?");
        const auto answer = work_.prompter->ask(tr("The track has a chain"),
                                                text.arg(QString::fromStdString(session.name_of(*first)), name),
                                                tr("Append"), tr("Replace"));
        if (answer == Prompter::Answer::cancel) return;
        append = answer == Prompter::Answer::yes;
    }
    work_.edits.use_preset(rows, preset, append, name);
}

void ShapePanel::fill_presets(QMenu& menu) {
    std::vector<Error> problems;
    const std::vector<Preset> presets = all_presets(&problems);
    const bool any = !shown_.empty();
    QAction* copy = menu.addAction(tr("Copy this chain"), this, [this] { copied_chain() = shown_; });
    copy->setObjectName("chainCopy");
    copy->setToolTip(tr("To paste it to other tracks afterwards."));
    copy->setEnabled(any);
    QAction* paste = menu.addAction(tr("Paste to the selected tracks"), this, [this] {
        Preset copy;
        copy.chain = copied_chain();
        use_preset(copy, tr("Paste a chain"));
    });
    paste->setObjectName("chainPaste");
    paste->setToolTip(tr("Gives them the copied chain. You are asked before a chain is replaced."));
    paste->setEnabled(!copied_chain().empty());
    QAction* keep = menu.addAction(tr("Save this chain as a preset…"), this, [this] {
        const auto name = work_.prompter->ask_text(tr("Save a preset"), tr("Name"), tr("my chain"));
        if (!name) return;
        const auto kept = keep_preset(name->toStdString(), {}, shown_);
        if (!kept) work_.prompter->complain(QString::fromStdString(kept.error().text()));
    });
    keep->setObjectName("chainKeep");
    keep->setToolTip(tr("Kept for all sessions, among your own presets."));
    keep->setEnabled(any);
    menu.addSeparator();
    std::map<QString, QMenu*> families;
    for (const Preset& preset : presets) {
        QString family = tr("any track");
        if (preset.own)
            family = tr("your own");
        else if (preset.family)
            family = family_word(*preset.family);
        QMenu*& of = families[family];
        if (!of) {
            of = menu.addMenu(family);
            of->menuAction()->setToolTip(tr("Presets of chains for such a track."));
        }
        const QString name = QString::fromStdString(translated(preset.name.c_str()));
        QAction* action = of->addAction(name, this, [this, preset, name] { use_preset(preset, name); });
        action->setObjectName("preset_" + name);
        action->setToolTip(QString::fromStdString(translated(preset.purpose.c_str())));
    }
    if (const auto own = families.find(tr("your own")); own != families.end())
        own->second->addAction(tr("Delete a preset…"), this, [this, presets] {
            QStringList names;
            for (const Preset& p : presets)
                if (p.own) names << QString::fromStdString(p.name);
            const auto which = work_.prompter->ask_choice(tr("Delete a preset"), tr("Preset"), names);
            if (!which) return;
            const auto gone = remove_preset(names[static_cast<qsizetype>(*which)].toStdString());
            if (!gone) work_.prompter->complain(QString::fromStdString(gone.error().text()));
        });
    for (const Error& problem : problems) menu.addAction(QString::fromStdString(problem.text()))->setEnabled(false);
}

void ShapePanel::fill_advice(QMenu& menu) {
    const Track* track = work_.document.track(row_);
    const size_t at = position();
    const Processor* chosen = at < shown_.size() ? &shown_[at] : nullptr;
    const auto add = [&](const char* name, const QString& text, const QString& help, bool on, auto act) {
        QAction* action = menu.addAction(text, this, act);
        action->setObjectName(name);
        action->setToolTip(help);
        action->setEnabled(on);
    };
    // Advice about frequencies is seen in their picture.
    const auto about_frequencies = [this](auto ask) {
        return [this, ask] {
            pictures_->setCurrentWidget(picture_);
            ask();
        };
    };
    add("suggestLowCut", tr("Low cut for the selected tracks"),
        tr("Proposes where the track needs no more lows. A low cut there makes room for kick and bass."), track,
        about_frequencies([this] { advisor_->low_cuts(work_.document.selected()); }));
    add("suggestBack", tr("Low cut down by 12 %"), tr("Do this if the low cut removed too much of the sound."),
        first_of(shown_, "low_cut"), [this] {
            work_.edits.set_chains({row_}, tr("Low cut down by 12 %"), [](Chain& chain) {
                if (const Processor* cut = first_of(chain, "low_cut")) set_low_cut(chain, backed_off_hz(hz_of(*cut)));
            });
        });
    add("suggestHearCut", tr("Hear only the part that the processor removes"),
        tr("Only noise and rumble should be left, nothing of the sound itself."), track && chosen,
        [this] { hear_what_is_cut(!hearing_cut_); });
    menu.actions().last()->setCheckable(true);
    menu.actions().last()->setChecked(hearing_cut_);
    add("suggestTroubles", tr("Resonance finder"),
        tr("Finds frequencies that ring whatever is played, and proposes narrow cuts."), track,
        about_frequencies([this] { advisor_->troubles(row_); }));
    add("suggestReduction", tr("Target reduction…"), tr("Finds the threshold for a reduction. 3 dB is moderate."),
        chosen && chosen->type == "compressor", [this, at] {
            const auto wanted = work_.prompter->ask_numbers(tr("Reduction over the whole song"),
                                                            {{tr("while it works, dB"), 3.0, 0.0, 40.0, 1},
                                                             {tr("or at most, dB (0: no limit)"), 0.0, 0.0, 40.0, 1}});
            if (!wanted) return;
            const bool most = (*wanted)[1] > 0.0;
            advisor_->reduction(row_, at, {most, (*wanted)[most ? 1 : 0]});
        });
    const MaterialPtr shaped = work_.edits.shaped(row_);
    const auto taken = shaped && chosen ? signal_of(shaped)->reduction(at) : std::nullopt;
    add("suggestMakeup",
        taken ? tr("Makeup: the %1 dB that it reduces while it works").arg(shown_figure(taken->typical_db, 1))
              : tr("Makeup: as much as it reduces while it works"),
        tr("Gives back the level that the compressor takes."), taken && chosen->type == "compressor",
        [this, at, taken] {
            const ParameterInfo& makeup = *processor_type("compressor")->find("makeup_db");
            if (at < shown_.size() && taken)
                work_.edits.set_own_value(row_, Parameter(makeup, shown_[at].id),
                                          std::min(makeup.high, std::round(taken->typical_db * 10.0) / 10.0), 0);
        });
    add("suggestNote", tr("Cut its strongest note in the others"),
        tr("Proposes a narrow cut at its strongest note, in the tracks that cover it there."), track,
        about_frequencies([this] { advisor_->note(row_); }));
    add("suggestRoom", tr("Make room for it in the other tracks"),
        tr("Proposes small cuts in the tracks that cover it most."), track,
        about_frequencies([this] { advisor_->room(row_); }));
    add("suggestCover", tr("Masking: which tracks cover it, and where"),
        tr("Marks in the spectrum where other tracks cover this one."), track, about_frequencies([this] {
            advisor_->cover(row_, [this](std::vector<CoveredBand> cover) { picture_->show_cover(std::move(cover)); });
        }));
    add("makeWay", tr("Duck under another track…"),
        tr("Lowers this track while another one sounds, such as the bass under the kick."),
        !work_.document.session().tracks.empty(), [this] { ask_make_way(work_, row_, Way::duck); });
    QMenu* ways = menu.addMenu(tr("Suggested duck under"));
    ways->setObjectName("suggestDuck");
    ways->menuAction()->setToolTip(tr("Proposes depth and times of a duck for the two tracks."));
    ways->setEnabled(track != nullptr);
    for (const auto& other : work_.document.session().tracks)
        if (other->id != row_)
            ways->addAction(QString::fromStdString(other->name), this,
                            [this, key = other->id] { advisor_->duck(row_, key); });
}

void ShapePanel::hear_what_is_cut(bool on) {
    const size_t at = position();
    hearing_cut_ = on && at < shown_.size() && work_.document.track(row_);
    work_.player.hear_instead(
        hearing_cut_ ? std::make_shared<const Session>(with_difference_alone(work_.document.session(), row_, at))
                     : nullptr);
}

size_t ShapePanel::position() const {
    return list_->currentRow() < 0 ? shown_.size() + shown_sends_.size() : static_cast<size_t>(list_->currentRow());
}

void ShapePanel::move(int by) {
    const auto to = static_cast<std::ptrdiff_t>(position()) + by;
    if (to >= 0) work_.edits.move_processor(row_, position(), static_cast<size_t>(to));
}

void ShapePanel::follow() {
    const TrackId row = work_.view.shape.row();
    const Chain* now = work_.document.session().chain_of(row);
    const Chain chain = now ? *now : Chain{};
    const Session& session = work_.document.session();
    const Sends sends = session.sends_of(row) ? *session.sends_of(row) : Sends{};
    if (row != row_) picture_->show_cover({});
    if (hearing_cut_ && (row != row_ || chain.size() != shown_.size())) hear_what_is_cut(false);
    const bool same_list =
        row_ == row && shown_.size() == chain.size() && shown_sends_.size() == sends.size() &&
        std::equal(shown_.begin(), shown_.end(), chain.begin(),
                   [](const Processor& a, const Processor& b) { return a.id == b.id && a.in == b.in; });
    row_ = row;
    shown_ = chain;
    shown_sends_ = sends;
    if (hearing_cut_) hear_what_is_cut(true);  // as it is set now
    if (!same_list) {
        const QSignalBlocker quiet(list_);
        list_->clear();
        for (size_t n = 0; n < chain.size() + sends.size(); ++n) list_->addItem(QString());
        if (list_->count() > 0)
            list_->setCurrentRow(
                static_cast<int>(std::min(work_.view.shape.position, static_cast<size_t>(list_->count()) - 1)));
    }
    for (size_t n = 0; n < chain.size(); ++n) {
        const bool cannot_run = chain[n].in && !fault_of(n).isEmpty();
        QString form = chain[n].in ? tr("%1 %2") : tr("%1 %2 (bypassed)");
        if (cannot_run) form = tr("%1 %2 (cannot run)");
        list_->item(static_cast<int>(n))->setText(form.arg(n + 1).arg(QString::fromStdString(word_of(chain[n].type))));
        list_->item(static_cast<int>(n))->setForeground(cannot_run ? theme().clipped : theme().text);
    }
    for (size_t n = 0; n < sends.size(); ++n)
        list_->item(static_cast<int>(chain.size() + n))
            ->setText(
                (sends[n].in ? tr("to %1  %2") : tr("to %1  %2 (bypassed)"))
                    .arg(QString::fromStdString(session.name_of(sends[n].to)), db_text(sends[n].level_db, "dB", true)));
    for (QPushButton* b : {in_, remove_}) b->setEnabled(list_->count() > 0);
    for (QPushButton* b : {up_, down_}) b->setEnabled(position() < chain.size());
    fill_form();
}

QString ShapePanel::fault_of(size_t position) const {
    if (position >= shown_.size()) return {};
    const std::string& type = shown_[position].type;
    if (is_plugin(type) && !processor_type(type)) return tr("the plug-in is not installed");
    if (const auto why = plugin_fault(type)) return QString::fromStdString(*why);
    const auto shaped = shaped_row(work_, row_);
    const Signal* signal = shaped && shaped->after ? signal_of(shaped->after).get() : nullptr;
    return signal ? QString::fromStdString(signal->fault(position)) : QString();
}

void ShapePanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().panel);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
}

}  // namespace isotonus
