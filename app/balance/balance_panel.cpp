#include "app/balance/balance_panel.h"

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPainter>
#include <QToolButton>
#include <cmath>

#include "app/balance/first_balance_page.h"
#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

namespace {

using BalancePage = BalanceView::Page;
constexpr int panel_height = 176;

QString name_of(const Workspace& work, TrackId id) {
    return QString::fromStdString(work.document.session().name_of(id));  // a bus with a chain is a row of the plan too
}

void words(QPainter& painter, int x, int y, int wide, const QString& text, const QColor& colour, int pixels = 11,
           bool right = false) {
    painter.setFont(lettering(pixels));
    painter.setPen(colour);
    painter.drawText(QRect(x, y, wide, 16), Qt::AlignVCenter | (right ? Qt::AlignRight : Qt::AlignLeft),
                     QFontMetrics(painter.font()).elidedText(text, Qt::ElideRight, wide));
}

void bar(QPainter& painter, const QRect& box, double share, const QColor& colour) {
    painter.fillRect(box, theme().rule);
    painter.fillRect(box.left(), box.top(), static_cast<int>(std::lround(std::clamp(share, 0.0, 1.0) * box.width())),
                     box.height(), colour);
}

}  // namespace

BalancePanel::BalancePanel(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("balancePanel");
    setFixedHeight(panel_height);
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(8, 8, 8, 6);
    layout->setSpacing(20);
    auto* list = new QVBoxLayout;
    list->setSpacing(2);
    pages_ = new QStackedWidget;
    const auto page = [&](BalancePage which, const char* name, const QString& title, const QKeySequence& key,
                          const QString& help, QWidget* widget) {
        auto* b = new QToolButton;
        b->setObjectName(name);
        b->setText(title + "  " + key.toString(QKeySequence::NativeText));
        b->setToolTip(help);
        b->setCheckable(true);
        b->setFixedSize(head_width - 28, 25);
        b->setStyleSheet("font-size: 11px;");
        b->setFocusPolicy(Qt::TabFocus);
        connect(b, &QToolButton::clicked, this, [this, which] {
            if (work_.view.balance.page == which) return follow();
            work_.view.balance.show_page(which);
        });
        connect(&work_.view.balance, &BalanceView::page_changed, b,
                [this, b, which] { b->setChecked(work_.view.balance.page == which); });
        b->setChecked(work_.view.balance.page == which);
        list->addWidget(b);
        pages_->addWidget(widget);
    };
    page(BalancePage::headroom, "pageHeadroom", tr("Headroom plan"), QKeySequence("Y"),
         tr("Proposes faders that bring the peak of the mix into its window. Use it when the peak is too high."),
         new HeadroomPage(work, pages_));
    page(BalancePage::build_up, "pageBuildUp", tr("Build-up"), QKeySequence("B"),
         tr("Brings the tracks in one at a time and suggests a level for each. Use it for a first balance by ear."),
         new BuildUpPage(work, pages_));
    page(BalancePage::cover, "pageCover", tr("Masking"), QKeySequence("U"),
         tr("Shows how much of the track is heard and which tracks cover it. Use it when a track cannot be heard."),
         new CoverPage(work, pages_));
    page(BalancePage::mono, "pageMono", tr("Loss in mono"), QKeySequence("Shift+O"),
         tr("Lists how much each track loses in mono. Check it after panning."), new MonoPage(work, pages_));
    page(BalancePage::picture, "pagePicture", tr("Stereo picture"), QKeySequence("I"),
         tr("Shows left against right as a cloud: narrow is mono, round is wide. Check it in loud passages."),
         new PicturePage(work, pages_));
    page(BalancePage::first, "pageFirst", tr("First balance"), QKeySequence("Shift+Y"),
         tr("Proposes faders and pans for all tracks, from a rough mix or from what can be heard."),
         new FirstBalancePage(work, pages_));
    list->addStretch();
    layout->addLayout(list);
    layout->addWidget(pages_, 1);
    connect(&work_.view.balance, &BalanceView::page_changed, this, &BalancePanel::follow);
    follow();
}

void BalancePanel::follow() {
    if (work_.view.balance.page != BalancePage::none)
        pages_->setCurrentIndex(static_cast<int>(work_.view.balance.page) - 1);
}

void BalancePanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().panel);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
    painter.setPen(theme().rule);
    painter.drawLine(head_width - 10, 8, head_width - 10, height() - 8);
}

// --- headroom plan --------------------------------------------------------------------------------------------------

HeadroomPage::HeadroomPage(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(400, 20, 0, 0);
    column->setSpacing(6);
    for (int n = 0; n < 3; ++n) {
        auto* b = new QPushButton;
        b->setObjectName("proposal" + QString::number(n + 1));
        b->setToolTip(
            tr("Point at the proposal to see its faders as dashed marks. Click to apply it; undo restores the "
               "faders."));
        b->setAccessibleName(tr("Proposal %1").arg(n + 1));
        b->setFixedHeight(40);
        b->setStyleSheet("text-align: left; padding: 1px 8px; font-size: 11px;");
        b->installEventFilter(this);
        connect(b, &QPushButton::clicked, this, [this, n] {
            const auto& plan = work_.mix.headroom();
            if (!plan || static_cast<size_t>(n) >= plan->proposals.size()) return;
            const Proposal p = plan->proposals[static_cast<size_t>(n)];
            work_.view.balance.show_ghosts({});
            work_.document.edit(tr("Headroom plan: %n fader(s) down", nullptr, static_cast<int>(p.faders.size())),
                                with_proposal(work_.document.session(), p));
        });
        column->addWidget(b);
        proposals_.push_back(b);
    }
    column->addStretch();
    connect(&work_.mix, &MixWatch::headroom_changed, this, &HeadroomPage::follow);
    connect(&work_.mix, &MixWatch::changed, this, qOverload<>(&QWidget::update));
    follow();
}

QString HeadroomPage::words(const Proposal& p) const {
    QString who;
    if (p.way == Remake::all_down) {
        who = tr("All tracks");
    } else if (p.way == Remake::not_anchors) {
        who = tr("All except the anchors");
    } else {
        QStringList names;
        for (const auto& [id, db] : p.faders) names << name_of(work_, id);
        who = names.join(", ");
    }
    const QString change = p.balance_change_db > 0.0 ? tr("the balance changes by %1").arg(db_text(p.balance_change_db))
                                                     : tr("the balance stays");
    return tr("%1: down by %2\npeak %3, %4").arg(who, db_text(p.by_db), level_text(p.peak_dbfs, "dBFS"), change);
}

void HeadroomPage::follow() {
    const auto& plan = work_.mix.headroom();
    moment_ = 0;
    for (size_t n = 0; n < proposals_.size(); ++n) {
        const bool there = plan && n < plan->proposals.size();
        proposals_[n]->setVisible(there);
        if (!there) continue;
        const QString text = words(plan->proposals[n]);
        proposals_[n]->setText(text);
        proposals_[n]->setAccessibleName(text);
    }
    work_.view.balance.show_ghosts({});
    update();
}

bool HeadroomPage::eventFilter(QObject* watched, QEvent* event) {
    const auto& plan = work_.mix.headroom();
    for (size_t n = 0; n < proposals_.size(); ++n) {
        if (watched != proposals_[n] || !plan || n >= plan->proposals.size()) continue;
        if (event->type() == QEvent::Enter || event->type() == QEvent::FocusIn) {
            BalanceView::Ghosts ghosts;
            for (const auto& [id, db] : plan->proposals[n].faders) ghosts[id] = {db};
            work_.view.balance.show_ghosts(std::move(ghosts));
        } else if (event->type() == QEvent::Leave || event->type() == QEvent::FocusOut) {
            work_.view.balance.show_ghosts({});
        }
    }
    return QWidget::eventFilter(watched, event);
}

void HeadroomPage::mousePressEvent(QMouseEvent* event) {
    const auto& plan = work_.mix.headroom();
    if (!plan || event->position().y() > 24) return;
    const auto n = static_cast<size_t>(std::max(0.0, event->position().x()) / 76.0);
    if (n >= plan->worst.size()) return;
    moment_ = n;
    const double time_s = static_cast<double>(plan->worst[n].frame) / work_.document.session().sample_rate;
    work_.player.locate(std::max(0.0, time_s - 1.0));
    update();
}

void HeadroomPage::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const auto& plan = work_.mix.headroom();
    if (!plan || plan->worst.empty()) {
        isotonus::words(
            painter, 0, 4, 380,
            work_.document.session().tracks.empty() ? tr("no tracks") : tr("searching for the cause of the peak…"),
            theme().faint, 13);
        return;
    }
    const double rate = work_.document.session().sample_rate;
    for (size_t n = 0; n < plan->worst.size(); ++n) {  // the worst moments: a click goes there
        const QRect box(static_cast<int>(n) * 76, 0, 72, 22);
        painter.setPen(n == moment_ ? theme().accent : theme().scale);
        painter.drawRect(box.adjusted(0, 0, -1, -1));
        painter.setFont(lettering(11));
        painter.setPen(theme().text);
        painter.drawText(box, Qt::AlignCenter, time_text(static_cast<double>(plan->worst[n].frame) / rate));
    }
    const Moment& m = plan->worst[std::min(moment_, plan->worst.size() - 1)];
    isotonus::words(painter, 0, 26, 380,
                    (m.right ? tr("%1 on the right channel; share of each track:")
                             : tr("%1 on the left channel; share of each track:"))
                        .arg(db_text(m.peak_dbfs, "dBFS")),
                    theme().text);
    for (size_t i = 0; i < std::min<size_t>(6, m.contributions.size()); ++i) {
        const Contribution& c = m.contributions[i];
        const int y = 44 + static_cast<int>(i) * 18;
        isotonus::words(painter, 0, y, 150, name_of(work_, c.id), theme().text);
        bar(painter, QRect(156, y + 4, 120, 8), c.makes_db / 6.0, theme().above);
        isotonus::words(painter, 280, y, 50, db_text(c.makes_db), theme().text, 11, true);
    }
    if (plan->proposals.empty()) {
        const TargetSheet& sheet = work_.document.session().targets;
        const double room = sheet.mains_high_dbfs - plan->peak_dbfs.value_or(sheet.mains_high_dbfs);
        isotonus::words(painter, 400, 26, width() - 400,
                        room >= 0.0
                            ? tr("Nothing needs to go down: %1 of headroom is left in the window.").arg(db_text(room))
                            : tr("No fader brings the peak into the window, because the main output's processors set "
                                 "it. Change those in Shape."),
                        theme().text, 13);
    } else {
        isotonus::words(painter, 400, 0, width() - 400, tr("Proposals for the window. Point at one to see its faders:"),
                        theme().faint);
    }
}

// --- build-up -------------------------------------------------------------------------------------------------------

BuildUpPage::BuildUpPage(Workspace& work, QWidget* parent)
    : QWidget(parent), work_(work), now_(work.view.balance.build_up) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    auto* line = new QHBoxLayout;
    order_ = new QComboBox;
    order_->setObjectName("buildUpOrder");
    order_->setAccessibleName(tr("Order of the build-up"));
    order_->addItems({tr("Beat: kick, bass, snare, hats, melody, the rest"),
                      tr("Band: kit, bass, keys and guitars, voices"), tr("Anchors first"),
                      tr("From silence, track by track"), tr("Own order: the selected tracks first")});
    order_->setToolTip(tr("The order in which the tracks come in. A beat starts with the kick, a band with the kit."));
    const auto button = [&](const char* name, const QString& text, const QString& help, auto work_to_do) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        b->setToolTip(help);
        connect(b, &QPushButton::clicked, this, work_to_do);
        line->addWidget(b);
        return b;
    };
    line->addWidget(order_);
    start_ = button("buildUpStart", tr("Mute everything and start"),
                    tr("Mutes all tracks and brings in the first one."), [this] { start(); });
    back_ = button("buildUpBack", tr("Back"), tr("Mutes this track again and returns to the one before."),
                   [this] { step(-1); });
    next_ = button("buildUpNext", tr("Next track"), tr("Brings in the next track."), [this] { step(1); });
    take_ = button("buildUpTake", tr("Apply the suggested level"), tr("Sets the fader to the suggested level."),
                   [this] { take_suggestion(); });
    leave_ =
        button("buildUpLeave", tr("Close"), tr("Ends the build-up. Faders stay as they are."), [this] { leave(); });
    line->addStretch();
    column->addLayout(line);
    step_text_ = new QLabel;
    step_text_->setObjectName("buildUpStep");
    step_text_->setStyleSheet("font-size: 16px;");
    advice_ = new QLabel;
    advice_->setObjectName("buildUpAdvice");
    headroom_ = new QLabel;
    headroom_->setObjectName("buildUpHeadroom");
    auto* second = new QHBoxLayout;
    second->addWidget(step_text_);
    second->addStretch();
    all_ = new QPushButton(tr("Set all to their suggested levels"));
    all_->setObjectName("buildUpAll");
    all_->setToolTip(tr("Sets every fader to its suggested level at once."));
    connect(all_, &QPushButton::clicked, this, [this] { take_all(); });
    second->addWidget(all_);
    column->addLayout(second);
    advice_->setWordWrap(true);
    column->addWidget(advice_);
    column->addWidget(headroom_);
    anchors_ = new QWidget;
    auto* order = new QHBoxLayout(anchors_);
    order->setContentsMargins(0, 0, 0, 0);
    anchor_list_ = new QListWidget;
    anchor_list_->setObjectName("anchorOrder");
    anchor_list_->setAccessibleName(tr("Order of the anchors"));
    anchor_list_->setFlow(QListView::LeftToRight);
    anchor_list_->setFixedHeight(30);
    anchor_list_->setSpacing(2);
    order->addWidget(anchor_list_, 1);
    const auto mover = [&](const char* name, const QString& text, int by) {
        auto* b = new QPushButton(text);
        b->setObjectName(name);
        order->addWidget(b);
        connect(b, &QPushButton::clicked, this, [this, by] {
            const auto* item = anchor_list_->currentItem();
            if (!item) return;
            const auto id = static_cast<TrackId>(item->data(Qt::UserRole).toULongLong());
            work_.edits.move_anchor(id, by);
        });
    };
    mover("anchorEarlier", tr("Earlier"), -1);
    mover("anchorLater", tr("Later"), 1);
    column->addWidget(anchors_);
    column->addStretch();
    connect(order_, &QComboBox::currentIndexChanged, this, &BuildUpPage::follow);
    connect(&work_.document, &Document::session_changed, this, &BuildUpPage::follow);
    connect(&work_.mix, &MixWatch::changed, this, &BuildUpPage::follow);
    connect(&work_.mix, &MixWatch::levels_changed, this, &BuildUpPage::follow);
    follow();
}

/// All tracks up to this step are heard, those after it are muted.  From silence, one that comes in for the first time
/// does so with its fader off.
Session BuildUpPage::with_step(const Session& session, size_t step) {
    Session next = session;
    const bool is_new = step >= now_.begun;
    now_.begun = std::max(now_.begun, step + 1);
    for (size_t i = 0; i < now_.tracks.size(); ++i)
        next = with_track(next, now_.tracks[i], [&](Track& t) {
            t.mute = i > step;
            if (i == step && is_new && now_.from_silence) t.fader_db = silence_db;
        });
    return next;
}

void BuildUpPage::start() {
    const auto family = [this](const Track& t) { return work_.materials.family(t); };
    now_.tracks = build_up_order(work_.document.session(), static_cast<BuildUpOrder>(order_->currentIndex()), family,
                                 work_.document.selected());
    if (now_.tracks.empty()) return;
    now_.mutes_before.clear();
    now_.faders_before.clear();
    for (const auto& t : work_.document.session().tracks) {
        now_.mutes_before[t->id] = t->mute;
        now_.faders_before[t->id] = t->fader_db;
    }
    now_.step = now_.begun = 0;
    now_.from_silence = order_->currentIndex() == static_cast<int>(BuildUpOrder::from_silence);
    work_.document.edit(tr("Build-up: %1").arg(name_of(work_, now_.tracks[0])), with_step(work_.document.session(), 0));
    work_.document.select_only(now_.tracks[0]);
}

void BuildUpPage::step(int by) {
    const auto to = static_cast<int>(now_.step) + by;
    if (now_.tracks.empty() || to < 0) return;
    if (to >= static_cast<int>(now_.tracks.size())) return leave();
    now_.step = static_cast<size_t>(to);
    work_.document.edit(tr("Build-up: %1").arg(name_of(work_, now_.tracks[now_.step])),
                        with_step(work_.document.session(), now_.step));
    work_.document.select_only(now_.tracks[now_.step]);
}

void BuildUpPage::leave() {
    if (now_.tracks.empty()) return;
    Session next = work_.document.session();
    for (size_t i = 0; i < now_.tracks.size(); ++i)
        next = with_track(next, now_.tracks[i], [&](Track& t) {
            if (i > now_.step) t.mute = now_.mutes_before[t.id];
            // One that was not raised from silence yet is where it was.
            if (now_.from_silence && std::isinf(t.fader_db)) t.fader_db = now_.faders_before[t.id];
        });
    now_.tracks.clear();
    work_.document.edit(tr("Build-up: done"), std::move(next));
}

void BuildUpPage::take_suggestion() {
    const TrackId id = now_.tracks.empty() ? TrackId{} : now_.tracks[now_.step];
    work_.mix.when_levels_are_known([&work = work_, id](const StartingLevels& levels) {
        const Track* t = work.document.track(id);
        if (!t) return;
        const double db = suggested_fader_db(work.document.session(), *t, levels);
        work.document.edit_tracks(tr("Fader %1 %2").arg(name_of(work, id), db_text(db)), {id},
                                  [db](Track& track) { track.fader_db = db; });
    });
}

/// A first guess at once.
void BuildUpPage::take_all() {
    work_.mix.when_levels_are_known([&work = work_](const StartingLevels& levels) {
        Session next = with_suggested_faders(work.document.session(), levels);
        // What is muted stays muted: only faders are asked for.
        for (const auto& t : work.document.session().tracks)
            if (t->mute) next = with_track(next, t->id, [](Track& track) { track.mute = true; });
        work.document.edit(tr("All faders at their suggested levels"), std::move(next));
    });
}

void BuildUpPage::list_anchors() {
    const bool asked = now_.tracks.empty() && order_->currentIndex() == static_cast<int>(BuildUpOrder::anchors);
    const auto anchors = asked ? anchors_in_order(work_.document.session()) : std::vector<TrackId>{};
    anchors_->setVisible(anchors.size() > 1);
    const auto* chosen = anchor_list_->currentItem();
    const qulonglong kept = chosen ? chosen->data(Qt::UserRole).toULongLong() : 0;
    anchor_list_->clear();
    for (const TrackId id : anchors) {
        auto* item = new QListWidgetItem(name_of(work_, id), anchor_list_);
        item->setData(Qt::UserRole, QVariant::fromValue<qulonglong>(id));
        if (id == kept) anchor_list_->setCurrentItem(item);
    }
}

void BuildUpPage::follow() {
    list_anchors();
    const bool on = !now_.tracks.empty();
    const Track* t = on ? work_.document.track(now_.tracks[now_.step]) : nullptr;
    if (on && !t) now_.tracks.clear();
    order_->setEnabled(!t);
    start_->setVisible(!t);
    all_->setVisible(!t);
    for (QPushButton* b : {back_, next_, take_, leave_}) b->setVisible(t != nullptr);
    back_->setEnabled(now_.step > 0);
    if (!t) {
        step_text_->setText(tr("Bring the tracks up one at a time."));
        advice_->setText(tr(
            "Everything is muted; each step brings one track in. Your settings stay, and you can stop at any time."));
        headroom_->clear();
        if (work_.view.balance.page == BalancePage::build_up) work_.view.balance.show_ghosts({});
        return;
    }
    next_->setText(now_.step + 1 < now_.tracks.size() ? tr("Next: %1").arg(name_of(work_, now_.tracks[now_.step + 1]))
                                                      : tr("Done"));
    step_text_->setText(tr("%1 of %2: %3").arg(now_.step + 1).arg(now_.tracks.size()).arg(name_of(work_, t->id)));
    const double db = suggested_fader_db(work_.document.session(), *t, work_.mix.starting_levels());
    QString advice = tr("Against the anchors, start at %1; then set it by ear.");
    if (now_.from_silence)
        advice = tr("Raise it from silence until you just hear it. It often ends around %1.");
    else if (t->anchor)
        advice = tr("An anchor: loud and clear of the others. Start at %1.");
    advice_->setText(work_.mix.levels_known() ? advice.arg(db_text(db, "dB", true)) : QString());
    const auto& peak = work_.mix.peak();
    const TargetSheet& sheet = work_.document.session().targets;
    if (peak && peak->dbfs)
        headroom_->setText(*peak->dbfs > sheet.mains_high_dbfs
                               ? tr("The song peaks at %1: %2 above its window.")
                                     .arg(db_text(*peak->dbfs, "dBFS"), db_text(*peak->dbfs - sheet.mains_high_dbfs))
                               : tr("The song peaks at %1: %2 of headroom left in its window.")
                                     .arg(db_text(*peak->dbfs, "dBFS"), db_text(sheet.mains_high_dbfs - *peak->dbfs)));
    else
        headroom_->setText(tr("Nothing is heard yet."));
    if (work_.view.balance.page == BalancePage::build_up) work_.view.balance.show_ghosts({{t->id, {db}}});
}

// --- what covers ----------------------------------------------------------------------------------------------------

CoverPage::CoverPage(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("coverPage");
    connect(&work_.mix, &MixWatch::audibility_changed, this, [this] {
        known_in_ = nullptr;
        update();
    });
    connect(&work_.document, &Document::selection_changed, this, qOverload<>(&QWidget::update));
}

void CoverPage::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    names_.clear();
    const TrackId id = work_.document.focused();
    const Audibility* a = work_.mix.audibility(id);
    if (work_.mix.share_listened() < 1.0 || !a) {
        words(painter, 0, 4, width(),
              work_.mix.share_listened() < 1.0
                  ? tr("measuring the tracks: %1 %").arg(std::lround(100.0 * work_.mix.share_listened()))
                  : tr("This track is not heard: it is muted, or its fader is off."),
              theme().faint, 13);
        return;
    }
    if (known_for_ != id || known_in_ != work_.player.plan()) {
        known_for_ = id;
        known_in_ = work_.player.plan();
        covers_ = work_.mix.covers(id);
    }
    words(painter, 0, 0, width(),
          tr("%1: %2 % of its bands are heard above the rest, %3 % at the level of the quiet check. These tracks cover "
             "it and could go down:")
              .arg(name_of(work_, id))
              .arg(std::lround(100.0 * a->share.value_or(0.0)))
              .arg(std::lround(100.0 * a->quiet_share.value_or(0.0))),
          theme().text);
    const auto& sections = work_.document.session().sections;
    for (size_t i = 0; i < covers_.size() && i < 8; ++i) {
        const int y = 20 + static_cast<int>(i) * 17;
        words(painter, 0, y, 100, sections.empty() ? tr("the song") : QString::fromStdString(sections[i].name),
              theme().faint);
        Level share = std::nullopt;
        if (sections.empty())
            share = a->share;
        else if (i < a->in_sections.size())
            share = a->in_sections[i];
        if (!share) {
            words(painter, 106, y, 120, tr("not playing"), theme().faint);
            continue;
        }
        bar(painter, QRect(106, y + 5, 80, 6), *share, *share < hardly_heard ? theme().above : theme().accent);
        words(painter, 190, y, 44, QString::number(std::lround(*share * 100.0)) + " %", theme().text, 11, true);
        int x = 250;
        for (const Cover& c : covers_[i]) {
            const QString text = name_of(work_, c.id) + " " + QString::number(std::lround(c.share * 100.0)) + " %";
            const int wide = QFontMetrics(lettering(11)).horizontalAdvance(text) + 4;
            if (x + wide > width()) break;
            words(painter, x, y, wide, text, theme().accent);
            names_.push_back({QRect(x, y, wide, 16), c.id});
            x += wide + 14;
        }
    }
}

void CoverPage::mousePressEvent(QMouseEvent* event) {
    for (const auto& [box, id] : names_)
        if (box.contains(event->position().toPoint())) return work_.document.select_only(id);
}

// --- mono -----------------------------------------------------------------------------------------------------------

MonoPage::MonoPage(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("monoPage");
    connect(&work_.mix, &MixWatch::changed, this, qOverload<>(&QWidget::update));
    connect(&work_.player, &Player::plan_changed, this, qOverload<>(&QWidget::update));
}

void MonoPage::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    rows_.clear();
    const auto& figures = work_.mix.figures();
    const Level mix = figures ? mono_loss_db(figures->measurement) : std::nullopt;
    words(painter, 0, 0, width(),
          tr("In mono the whole mix changes by %1. By track, the greatest loss first (0 dB: no loss):")
              .arg(mix ? db_text(*mix) : tr("… dB")),
          theme().text);
    const int per_column = 7, wide = std::max(200, width() / 4);
    int n = 0;
    for (const MonoLoss& loss : mono_losses(*work_.player.plan())) {
        const int x = n / per_column * wide, y = 22 + n % per_column * 18;
        if (x + wide > width() + 8) break;
        words(painter, x, y, wide - 130, name_of(work_, loss.id), theme().text);
        bar(painter, QRect(x + wide - 124, y + 5, 50, 6), -loss.loss_db / 12.0,
            loss.loss_db < -4.0 ? theme().above : theme().accent);
        words(painter, x + wide - 72, y, 58, std::isinf(loss.loss_db) ? tr("gone") : db_text(loss.loss_db),
              theme().text, 11, true);
        rows_.push_back({QRect(x, y, wide - 8, 18), loss.id});
        ++n;
    }
}

void MonoPage::mousePressEvent(QMouseEvent* event) {
    for (const auto& [box, id] : rows_)
        if (box.contains(event->position().toPoint())) return work_.document.select_only(id);
}

// --- the stereo picture ---------------------------------------------------------------------------------------------

PicturePage::PicturePage(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("picturePage");
    connect(&work_.player, &Player::levels_changed, this, qOverload<>(&QWidget::update));
}

void PicturePage::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const LiveMix& live = work_.player.live();
    // Mid goes up, side across: what is mono is an upright line, what would cancel lies flat.
    const QRect area(0, 0, 280, height() - 4);
    const QPoint foot(area.center().x(), area.bottom() - 14);
    const double reach = std::min(area.height() - 26, 130);
    painter.setPen(theme().scale);
    for (const double ring : {0.25, 0.5, 1.0})
        painter.drawArc(QRectF(foot.x() - ring * reach, foot.y() - ring * reach, 2 * ring * reach, 2 * ring * reach), 0,
                        180 * 16);
    painter.drawLine(foot, QPoint(foot.x(), static_cast<int>(foot.y() - reach)));
    painter.drawLine(QPointF(foot), QPointF(foot.x() - reach * 0.7071, foot.y() - reach * 0.7071));
    painter.drawLine(QPointF(foot), QPointF(foot.x() + reach * 0.7071, foot.y() - reach * 0.7071));
    painter.drawLine(area.left(), foot.y(), area.right(), foot.y());
    const int slant = static_cast<int>(reach * 0.7071);
    words(painter, foot.x() - slant - 4 - 42, foot.y() - slant - 14, 42, tr("Left"), theme().faint, 11, true);
    words(painter, foot.x() + slant + 4, foot.y() - slant - 14, 42, tr("Right"), theme().faint);
    QColor colour = theme().accent;
    colour.setAlphaF(0.5f);
    painter.setPen(QPen(colour, 1.6));
    QVector<QPointF> points;
    if (work_.player.playing())
        for (const LiveMix::Point& p : live.trace()) {
            // The distance in dB, -48 dB at the foot; the half below is turned up: only the angle tells.
            const double mid = (static_cast<double>(p.left) + static_cast<double>(p.right)) / 2.0,
                         side = (static_cast<double>(p.right) - static_cast<double>(p.left)) / 2.0;
            const double size = std::hypot(mid, side);
            if (size < 0.004) continue;
            const double far = std::clamp((20.0 * std::log10(size) + 48.0) / 48.0, 0.0, 1.0) * reach / size;
            const double sign = mid < 0.0 ? -1.0 : 1.0;
            points.push_back(QPointF(foot.x() + sign * side * far, foot.y() - std::fabs(mid) * far));
        }
    painter.drawPoints(points.constData(), static_cast<int>(points.size()));
    words(painter, 300, 0, width() - 300, tr("correlation by band: +1 mono, 0 unrelated, −1 cancels in mono"),
          theme().faint);
    const QString names[LiveMix::bands] = {tr("below 120 Hz"), tr("120 – 500 Hz"), tr("500 Hz – 2 kHz"),
                                           tr("2 – 6 kHz"), tr("above 6 kHz")};
    for (size_t b = 0; b <= LiveMix::bands; ++b) {
        const Level value = b < LiveMix::bands ? live.correlation(b) : live.correlation();
        const int y = 24 + static_cast<int>(b) * 22;
        words(painter, 300, y, 128, b < LiveMix::bands ? names[b] : tr("all together"), theme().text);
        const QRect scale(434, y + 5, 200, 6);
        painter.fillRect(scale, theme().rule);
        painter.fillRect(scale.center().x(), y + 2, 1, 12, theme().faint);
        if (!value) continue;
        const int at = scale.center().x() + static_cast<int>(*value * scale.width() / 2.0);
        painter.fillRect(QRect(QPoint(std::min(at, scale.center().x()), scale.top()),
                               QPoint(std::max(at, scale.center().x()), scale.bottom())),
                         *value < 0.0 ? theme().above : theme().inside);
        words(painter, 640, y, 50,
              QString(*value < 0.0 ? QChar(0x2212) : QChar('+')) + shown_figure(std::fabs(*value), 2), theme().text, 11,
              true);
    }
}

}  // namespace isotonus
