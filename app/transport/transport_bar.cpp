#include "app/transport/transport_bar.h"

#include <QHBoxLayout>
#include <QMenu>
#include <QPainter>

#include "app/desk/device_choices.h"
#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

TransportBar::TransportBar(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("transport");
    setFixedHeight(44);
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(12, 4, 12, 4);
    layout->setSpacing(8);
    const auto button = [&](const char* name, const QString& label, const QString& tip) {
        auto* b = new QToolButton;
        b->setObjectName(name);
        b->setAccessibleName(label);
        b->setToolTip(tip);
        b->setIconSize({20, 20});
        b->setFocusPolicy(Qt::TabFocus);
        layout->addWidget(b);
        return b;
    };
    play_ = button("play", tr("Play or stop"), tr("Play or stop (Space)"));
    connect(play_, &QToolButton::clicked, this, [this] { work_.player.toggle_playing(); });
    loop_ = button("loop", tr("Loop"), tr("Loop the marked stretch, or the section at the playhead (R)"));
    loop_->setCheckable(true);
    connect(loop_, &QToolButton::clicked, this, [this](bool on) {
        Player::Loop loop = work_.player.loop();
        const Session& s = work_.document.session();
        if (on && loop.to_s <= loop.from_s) {
            const int section = section_at(s, work_.player.position_s());
            loop.from_s = section >= 0 ? s.sections[static_cast<size_t>(section)].start_s : 0.0;
            loop.to_s = section >= 0 ? section_end_s(s, section, work_.view.time.song_s()) : work_.view.time.song_s();
        }
        loop.on = on;
        work_.player.set_loop(loop);
    });
    position_ = new QLabel;
    position_->setObjectName("position");
    position_->setFont(lettering(22));
    position_->setFixedWidth(108);
    position_->setStyleSheet("font-size: 22px;");
    layout->addWidget(position_);
    sections_ = new QWidget;
    sections_layout_ = new QHBoxLayout(sections_);
    sections_layout_->setContentsMargins(0, 0, 0, 0);
    sections_layout_->setSpacing(2);
    layout->addWidget(sections_);
    // How many rows are muted and soloed stands in sight wherever one is; a click takes them off.
    const auto count = [&](const char* name, Editing::Flag flag, const QString& tip) {
        auto* b = new QToolButton;
        b->setObjectName(name);
        b->setToolTip(tip);
        b->setFocusPolicy(Qt::TabFocus);
        connect(b, &QToolButton::clicked, this, [this, flag] { work_.edits.all_off(flag); });
        layout->addWidget(b);
        const auto show = [this, b, flag] {
            const int n = Editing::how_many(work_.document.session(), flag);
            b->setText(flag == Editing::Flag::mute ? tr("%1 muted").arg(n) : tr("%1 solo").arg(n));
            b->setAccessibleName(b->text());
            b->setVisible(n > 0);
        };
        connect(&work_.document, &Document::session_changed, b, show);
        show();
    };
    count("muteCount", Editing::Flag::mute, tr("Number of muted tracks. Click to turn all mutes off. (Shift+M)"));
    count("soloCount", Editing::Flag::solo, tr("Number of soloed tracks. Click to turn all solos off. (Shift+S)"));
    hint_ = new QLabel;
    hint_->setObjectName("hint");
    hint_->setText(tr("Point at anything to see its explanation here. F1 lists the keys."));
    hint_->setStyleSheet("font-size: 11px;");
    hint_->setWordWrap(true);
    hint_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    layout->addWidget(hint_, 1);
    device_ = button("device", tr("Sound device"), tr("Sound device"));
    device_->setPopupMode(QToolButton::InstantPopup);
    connect(device_, &QToolButton::clicked, this, &TransportBar::show_devices);
    connect(&work_.view, &ViewState::hint, this, [this](const QString& sentence) {
        if (!told_.isActive()) hint_->setText(sentence);
    });
    told_.setSingleShot(true);
    connect(&work_.view, &ViewState::told, this, [this](const QString& sentence) {
        constexpr int time_to_read_ms = 12000;
        hint_->setText(sentence);
        told_.start(time_to_read_ms);
    });
    connect(&work_.player, &Player::message, hint_, &QLabel::setText);
    connect(&work_.player, &Player::moved, this, &TransportBar::refresh);
    connect(&work_.player, &Player::loop_changed, this, &TransportBar::refresh);
    connect(&work_.player, &Player::device_changed, this, &TransportBar::refresh);
    connect(&work_.document, &Document::session_changed, this, &TransportBar::fill_sections);
    refresh_icons();
    fill_sections();
}

void TransportBar::refresh_icons() {
    loop_->setIcon(icon("loop"));
    play_->setIcon(icon(work_.player.playing() ? "stop" : "play"));
    refresh();
}

void TransportBar::refresh() {
    position_->setText(time_text(work_.player.position_s()));
    if (shown_playing_ != work_.player.playing()) {
        shown_playing_ = work_.player.playing();
        play_->setIcon(icon(shown_playing_ ? "stop" : "play"));
    }
    loop_->setChecked(work_.player.loop().on);
    const QString device = work_.player.device_name();
    const bool lost = device == simulated_device && work_.player.wanted_device() != device;
    if (lost)
        device_->setText(tr("No sound: waiting for %1").arg(device_text(work_.player.wanted_device())));
    else
        device_->setText(device == simulated_device ? tr("No sound: simulated device") : device);
    device_->setAccessibleName(tr("Sound device: %1").arg(device_->text()));
}

void TransportBar::fill_sections() {
    const auto& sections = work_.document.session().sections;
    if (sections == shown_sections_) return;
    shown_sections_ = sections;
    while (QLayoutItem* item = sections_layout_->takeAt(0)) {
        delete item->widget();
        delete item;
    }
    for (size_t i = 0; i < std::min<size_t>(9, sections.size()); ++i) {
        auto* b = new QToolButton;
        b->setText(QString::number(i + 1));
        b->setFocusPolicy(Qt::TabFocus);
        b->setToolTip(tr("Go to %1 (key %2)").arg(QString::fromStdString(sections[i].name)).arg(i + 1));
        b->setAccessibleName(tr("Go to %1").arg(QString::fromStdString(sections[i].name)));
        const double start_s = sections[i].start_s;
        connect(b, &QToolButton::clicked, this, [this, start_s] { work_.player.locate(start_s); });
        sections_layout_->addWidget(b);
    }
}

void TransportBar::show_devices() {
    QMenu menu;
    for (const auto& [name, text] : device_choices(work_.player.wanted_device())) {
        QAction* action = menu.addAction(text);
        action->setCheckable(true);
        action->setChecked(name == work_.player.wanted_device());
        connect(action, &QAction::triggered, this, [this, name = name] { emit device_wanted(name); });
    }
    menu.exec(device_->mapToGlobal(QPoint(0, -menu.sizeHint().height())));
}

void TransportBar::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
}

}  // namespace isotonus
