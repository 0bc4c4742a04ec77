#include "app/handoff/hand_off.h"

#include <QApplication>
#include <QDateTime>
#include <QGridLayout>
#include <QPointer>
#include <QScrollArea>
#include <QScrollBar>
#include <cmath>

#include "core/mix/whole.h"
#include "core/stage/findings.h"
#include "core/words.h"

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
    const MaterialPtr m = work_.materials.played(t);
    if (!m) {
        painter.drawText(rect().adjusted(24, 0, 0, 0), Qt::AlignVCenter, tr("no file: missing in the mix"));
        return;
    }
    QStringList words;
    const bool heard = work_.document.session().is_open(t) && std::isfinite(t.fader_db);
    const Measurement& f = m->measurement;
    const Track shown = after_chain(t, *m);
    const Level peak = peak_after_fader_dbfs(shown, f), average = average_after_fader_dbfs(shown, f);
    if (heard && peak) {
        const auto x_of = [&](double db) { return static_cast<int>(ruler.x_of(std::min(0.0, db))); };
        if (average) {
            QColor bar = theme().track_colour(t.colour_index);
            bar.setAlpha(80);
            painter.fillRect(QRect(QPoint(x_of(-60.0), y(13)), QPoint(x_of(*average), y(22))), bar);
        }
        painter.fillRect(x_of(*peak) - 1, y(10), 3, y(15), theme().text);
        words << (t.rides.any() ? tr("peak %1 without its ride") : tr("peak %1")).arg(db_text(*peak, "dBFS"))
              << tr("pan %1").arg(pan_text(t.pan));
        if (t.rides.any()) words << tr("has rides");
        if (t.polarity_inverted) words << tr("polarity inverted");
    } else {
        const bool off = std::isinf(t.fader_db) && work_.document.session().is_open(t);
        QString why = off ? tr("fader off") : value_text();
        if (heard) why = tr("silent");
        words << why;
    }
    for (const Finding& finding : work_.materials.findings(t))
        if (finding.fault && heard) words << QString::fromStdString(finding.text);
    painter.setPen(heard ? theme().text : theme().faint);
    const QRect box(width() / 2 + 24, 0, width() / 2 - 28, height());
    painter.drawText(box, Qt::AlignVCenter | Qt::AlignLeft,
                     QFontMetrics(painter.font()).elidedText(words.join(" · "), Qt::ElideRight, box.width()));
}

// --- the panel ------------------------------------------------------------------------------------------------------

namespace {

QLabel* heading(const QString& text) {
    auto* label = new QLabel(text);
    label->setStyleSheet("font-size: 16px;");
    return label;
}

}  // namespace

HandOffPanel::HandOffPanel(Workspace& work, QWidget* parent) : QWidget(parent), work_(work) {
    setObjectName("handOffPanel");
    setFixedHeight(484);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(16, 8, 16, 10);
    row->setSpacing(24);
    row->addWidget(make_checks(), 4);
    auto* leaving = new QWidget;
    leaving->setMinimumWidth(400);
    leaving->setMaximumWidth(474);
    auto* column = new QVBoxLayout(leaving);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(6);
    form_ = new ExportForm(work_, this);
    column->addWidget(form_);
    column->addWidget(make_export_preview(), 5);
    column->addWidget(make_outcome(), 3);
    row->addWidget(leaving, 5);

    progress_timer_.setInterval(50);
    connect(&progress_timer_, &QTimer::timeout, this,
            [this] { bar_->setValue(static_cast<int>(work_.exports.fraction() * 1000.0)); });
    connect(&work_.mix, &MixWatch::changed, this, &HandOffPanel::show_checks);
    connect(&work_.player, &Player::hearing_changed, this, &HandOffPanel::show_checks);
    connect(&work_.document, &Document::session_changed, this, [this] {
        if (notes_->toPlainText().toStdString() != work_.document.session().hand_off.notes)
            notes_->setPlainText(QString::fromStdString(work_.document.session().hand_off.notes));
        profile_->setCurrentIndex(static_cast<int>(work_.document.session().hand_off.profile));
    });
    connect(&work_.player, &Player::plan_changed, this, &HandOffPanel::look_at_stems);
    export_preview_timer_.setSingleShot(true);
    export_preview_timer_.setInterval(0);
    connect(&export_preview_timer_, &QTimer::timeout, this, &HandOffPanel::show_export_preview);
    const auto later = [this] { export_preview_timer_.start(); };
    connect(&work_.player, &Player::plan_changed, this, later);
    connect(form_, &ExportForm::changed, this, later);
    connect(form_, &ExportForm::stems_changed, this, &HandOffPanel::look_at_stems);
    for (const auto known : {&Materials::reshaped, &Materials::finished})
        connect(&work_.materials, known, this, &HandOffPanel::start_when_known, Qt::QueuedConnection);
    connect(&work_.plugins, &PluginSearch::found, this, &HandOffPanel::start_when_known, Qt::QueuedConnection);
    connect(&work_.exports, &ExportQueue::changed, this, &HandOffPanel::show_queue);
    work_.mix.want_figures(true);
    show_checks();
    show_queue();
    show_export_preview();
}

HandOffPanel::~HandOffPanel() {
    if (stems_progress_) stems_progress_->cancel();
    work_.mix.want_figures(false);
}

QWidget* HandOffPanel::make_checks() {
    auto* box = new QWidget;
    auto* grid = new QGridLayout(box);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->addWidget(heading(tr("Checks")), 0, 0);
    profile_ = new QComboBox;
    profile_->setObjectName("checkProfile");
    profile_->setAccessibleName(tr("Limits"));
    profile_->addItems({tr("For mastering"), tr("Streaming demo"), tr("Own limits")});
    profile_->setCurrentIndex(static_cast<int>(work_.document.session().hand_off.profile));
    profile_->setToolTip(
        tr("The limits that the checks use. Choose 'for mastering' unless you share the file yourself."));
    connect(profile_, &QComboBox::activated, this, [this](int n) {
        Session next = work_.document.session();
        next.hand_off.profile = static_cast<HandOffProfile>(n);
        if (next.hand_off.profile == HandOffProfile::own) {
            work_.document.edit(tr("Own limits"), std::move(next));
            own_limits();
        } else {
            work_.document.edit(tr("Limits %1").arg(profile_->currentText()), std::move(next));
            if (work_.document.session().hand_off.profile == HandOffProfile::streaming_demo) offer_main_chain();
        }
        show_checks();
    });
    grid->addWidget(profile_, 0, 2);
    told_ = new QLabel;
    told_->setObjectName("checksTold");
    grid->addWidget(told_, 0, 1);
    checks_ = new CheckList;
    checks_->setObjectName("checks");
    checks_->setAccessibleName(tr("Checks before hand-off"));
    connect(checks_, &CheckList::chosen, this, [this](const Check& c) {
        if (work_.document.track(c.row)) work_.document.select_only(c.row);
        if (c.time_s >= 0.0) work_.player.locate(std::max(0.0, c.time_s - 1.0));
        emit work_.view.hint(QString::fromStdString(c.why));
    });
    grid->addWidget(checks_, 1, 0, 1, 3);
    grid->setColumnStretch(1, 1);
    return box;
}

/// The files to export, told before anything is written.
QWidget* HandOffPanel::make_export_preview() {
    auto* box = new QWidget;
    auto* column = new QVBoxLayout(box);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    export_preview_ = plain_table("exportPreview", tr("Files to export"),
                                  {{tr("File"), tr("The name of the file that the export writes.")},
                                   {tr("Length"), tr("How long the file plays.")},
                                   {tr("Size"), tr("How much room the file takes on the disk.")}},
                                  0);
    export_preview_->setSelectionMode(QAbstractItemView::NoSelection);
    export_preview_->setFocusPolicy(Qt::TabFocus);
    column->addWidget(export_preview_, 1);
    auto* sums = new QHBoxLayout;
    export_preview_sum_ = new QLabel;
    export_preview_sum_->setObjectName("exportPreviewSum");
    stems_sum_ = new QLabel;
    stems_sum_->setObjectName("stemsSum");
    sums->addWidget(export_preview_sum_);
    sums->addStretch();
    sums->addWidget(stems_sum_);
    column->addLayout(sums);
    auto* row = new QHBoxLayout;
    export_ = new QPushButton(tr("Export"));
    export_->setObjectName("export");
    export_->setDefault(true);
    export_->setToolTip(tr("Writes the files of the list and reads them back. Check the marks on the left first."));
    cancel_ = new QPushButton(tr("Cancel"));
    cancel_->setToolTip(tr("Stops the export. None of its files is written."));
    cancel_->setObjectName("cancelExport");
    bar_ = new QProgressBar;
    bar_->setTextVisible(false);
    bar_->setRange(0, 1000);
    row->addWidget(export_);
    row->addWidget(cancel_);
    row->addWidget(bar_, 1);
    column->addLayout(row);
    connect(export_, &QPushButton::clicked, this, &HandOffPanel::start);
    connect(cancel_, &QPushButton::clicked, this, [this] { work_.exports.cancel(); });
    return box;
}

void HandOffPanel::show_export_preview() {
    const Delivery d = form_->delivery();
    const auto files = planned_files(work_.player.mix_plans().bare, work_.document.session(), d);
    std::vector<fs::path> papers;
    if (form_->with_sheet()) papers = ExportQueue::papers(d);
    export_preview_->setRowCount(static_cast<int>(files.size() + papers.size()));
    const auto put = [this](int row, const QString& name, const QString& length, const QString& size) {
        const QString cells[] = {name, length, size};
        for (int c = 0; c < 3; ++c) {
            auto* item = new QTableWidgetItem(cells[c]);
            if (c > 0) item->setTextAlignment(Qt::AlignRight | Qt::AlignVCenter);
            export_preview_->setItem(row, c, item);
        }
        export_preview_->setRowHeight(row, 20);
    };
    uintmax_t bytes = 0;
    int row = 0;
    bool all_known = true;
    for (const PlannedFile& f : files) {
        bytes += f.bytes.value_or(0);
        all_known = all_known && f.bytes && d.type != FileType::flac;
        QString size(QChar(0x2013));
        if (f.bytes) size = d.type == FileType::flac ? tr("below %1").arg(size_text(*f.bytes)) : size_text(*f.bytes);
        put(row++, to_qt(f.file.filename()), time_text(f.duration_s) + (d.tail && !d.excerpts.empty() ? " +" : ""),
            size);
    }
    for (const fs::path& paper : papers) put(row++, to_qt(paper.filename()), {}, {});
    const QString into = to_qt(d.folder);
    if (files.empty())
        export_preview_sum_->setText(tr("no files to export: every track is muted"));
    else if (all_known)
        export_preview_sum_->setText(tr("%n file(s), %1", nullptr, row).arg(size_text(bytes)));
    else
        export_preview_sum_->setText(tr("%n file(s)", nullptr, row));
    export_preview_sum_->setToolTip(into);
}

QWidget* HandOffPanel::make_outcome() {
    auto* box = new QWidget;
    auto* column = new QVBoxLayout(box);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(4);
    notes_ = new QPlainTextEdit(QString::fromStdString(work_.document.session().hand_off.notes));
    notes_->setTabChangesFocus(true);
    notes_->setObjectName("handOffNotes");
    notes_->setAccessibleName(tr("Notes to the mastering engineer"));
    notes_->setPlaceholderText(
        tr("Notes to the mastering engineer: how the song should feel, and what worries you. They are printed on the "
           "hand-off sheet."));
    notes_->setTabChangesFocus(true);
    connect(notes_, &QPlainTextEdit::textChanged, this, [this, gesture = work_.document.new_gesture()] {
        const std::string text = notes_->toPlainText().toStdString();
        if (text == work_.document.session().hand_off.notes) return;
        Session next = work_.document.session();
        next.hand_off.notes = text;
        work_.document.edit(tr("Notes to the mastering engineer"), std::move(next), gesture);
    });
    notes_->setFixedHeight(46);
    column->addWidget(notes_);
    result_ = new QLabel;
    result_->setObjectName("exportResult");
    result_->setWordWrap(true);
    result_->setAlignment(Qt::AlignTop);
    result_->setTextInteractionFlags(Qt::TextSelectableByMouse);
    auto* scroll = new QScrollArea;
    scroll->setWidget(result_);
    scroll->setWidgetResizable(true);
    scroll->setFrameShape(QFrame::NoFrame);
    column->addWidget(scroll, 1);
    return box;
}

void HandOffPanel::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().panel);
    painter.setPen(theme().faint);
    painter.drawLine(0, 0, width(), 0);
}

void HandOffPanel::offer_main_chain() {
    const Session& session = work_.document.session();
    if (!session.main_chain.empty()) return;
    const Preset& preset = *find_preset(shipped_presets(), sharing_preset);
    const auto answer = work_.prompter->ask(tr("No processors on the main output"),
                                            tr("Listeners hear a demo without mastering. Put the preset '%1' on the "
                                               "main output, and export the mix through it? %2")
                                                .arg(QString::fromStdString(translated(preset.name.c_str())),
                                                     QString::fromStdString(translated(preset.purpose.c_str()))),
                                            tr("Use the preset"), tr("Export without it"));
    if (answer != Prompter::Answer::yes) return;
    Session next = session;
    next.hand_off.main_chain = MainChain::in;
    work_.document.edit(tr("Export through the main output's processors"), std::move(next));
    work_.edits.use_preset({main_output}, preset, false, QString::fromStdString(translated(preset.name.c_str())));
}

void HandOffPanel::own_limits() {
    const HandOffLimits& l = work_.document.session().hand_off.own;
    const auto n = work_.prompter->ask_numbers(
        tr("Own limits"), {{tr("sample peak at most, dBFS"), l.max_peak_dbfs, -40.0, 6.0, 1},
                           {tr("sample peak at least, dBFS"), l.min_peak_dbfs, -90.0, 0.0, 1},
                           {tr("true peak at most, dBTP"), l.max_true_peak_dbtp, -40.0, 6.0, 1},
                           {tr("loudness at least, LUFS (−70: any)"), l.min_lufs.value_or(-70.0), -70.0, 0.0, 1},
                           {tr("loudness at most, LUFS (0: any)"), l.max_lufs.value_or(0.0), -70.0, 0.0, 1},
                           {tr("silence at the ends at most, s"), l.longest_silence_s, 0.0, 60.0, 1},
                           {tr("loss in mono at most, dB"), l.max_mono_loss_db, 0.0, 40.0, 1}});
    if (!n) return;
    Session next = work_.document.session();
    HandOffLimits& own = next.hand_off.own;
    own.max_peak_dbfs = (*n)[0];
    own.min_peak_dbfs = (*n)[1];
    own.max_true_peak_dbtp = (*n)[2];
    own.min_lufs = (*n)[3] > -70.0 ? std::optional((*n)[3]) : std::nullopt;
    own.max_lufs = (*n)[4] < 0.0 ? std::optional((*n)[4]) : std::nullopt;
    own.longest_silence_s = (*n)[5];
    own.max_mono_loss_db = (*n)[6];
    work_.document.edit(tr("Own limits"), std::move(next));
}

std::vector<Check> HandOffPanel::check_now() const {
    const Session& session = work_.document.session();
    const PlanPtr plan = exported_plan(work_.player.mix_plans(), session);
    CheckInput input{
        session, *plan, *work_.mix.leaving_figures(), work_.materials.missing(), {}, work_.player.anything_on(), {}};
    input.limits = limits_of(session.hand_off.profile, session.hand_off.own);
    input.overs = overs_;
    return check_handoff(input);
}

void HandOffPanel::show_checks() {
    if (!work_.mix.leaving_figures()) {
        if (checks_->count() == 0) told_->setText(tr("The mix is being measured…"));
        return;
    }
    look_into_overs();
    checks_->show_checks(check_now());
    const auto& all = checks_->checks();
    const auto fail = std::count_if(all.begin(), all.end(), [](const Check& c) { return !c.passed && !c.notice; });
    const auto notices = std::count_if(all.begin(), all.end(), [](const Check& c) { return !c.passed && c.notice; });
    const QString worth = tr("%n warning(s)", nullptr, static_cast<int>(notices));
    if (fail > 0)
        told_->setText(tr("%n to fix", nullptr, static_cast<int>(fail)) + ", " + worth);
    else
        told_->setText(notices > 0 ? tr("nothing to fix") + ", " + worth : tr("all checks passed"));
}

void HandOffPanel::look_into_overs() {
    const PlanPtr plan = exported_plan(work_.player.mix_plans(), work_.document.session());
    const HandOff& h = work_.document.session().hand_off;
    const double limit = limits_of(h.profile, h.own).max_peak_dbfs;
    if (overs_of_ == plan && overs_limit_dbfs_ == limit) return;
    overs_of_ = plan;
    overs_limit_dbfs_ = limit;
    overs_.clear();
    const auto overs = overs_of(work_.mix.leaving_figures()->summary, plan->sample_rate, limit);
    if (overs.empty()) return;
    jobs_.start([plan, overs](Progress&) { return moments_of(plan, overs); },
                [this, plan, limit](const Result<std::vector<Moment>>& found) {
                    if (!found || overs_of_ != plan || overs_limit_dbfs_ != limit) return;
                    overs_ = *found;
                    show_checks();
                });
}

void HandOffPanel::look_at_stems() {
    const Delivery d = form_->delivery();
    const PlanPtr plan = work_.player.mix_plans().bare;
    if (stems_progress_) stems_progress_->cancel();
    const bool asked = d.stems != StemSplit::none && !work_.materials.shaping();
    stems_sum_->setText(d.stems == StemSplit::none ? QString() : tr("Computing the sum of the stems…"));
    if (!asked) return;
    stems_progress_ = std::make_shared<Progress>();
    jobs_.start([plan, d, session = work_.document.session()](
                    Progress& progress) { return stems_residue(plan, session, d, &progress); },
                [this, progress = stems_progress_](const Result<Level>& residue) {
                    if (stems_progress_ != progress || progress->cancelled()) return;
                    if (!residue)
                        stems_sum_->setText(QString::fromStdString(residue.error().text()));
                    else if (!*residue)
                        stems_sum_->setText(tr("The stems sum to the mix."));
                    else
                        stems_sum_->setText(
                            tr("The sum of the stems differs from the mix by %1.").arg(db_text(**residue, "dBFS")));
                },
                stems_progress_);
}

void HandOffPanel::show_queue() {
    const ExportQueue& q = work_.exports;
    cancel_->setEnabled(q.busy());
    if (q.busy())
        progress_timer_.start();
    else
        progress_timer_.stop();
    const double ended = q.last_words().isEmpty() ? 0.0 : 1.0;
    bar_->setValue(static_cast<int>((q.busy() ? q.fraction() : ended) * 1000.0));
    QString text = q.last_words();
    if (q.busy())
        text = (q.waiting() > 0 ? tr("Exporting; %n more waiting…", nullptr, static_cast<int>(q.waiting()))
                                : tr("Exporting…")) +
               (text.isEmpty() ? QString() : "\n\n" + text);
    if (text.isEmpty())
        text =
            tr("Mastering needs 24 bit at the session's rate and 3 to 6 dB of headroom. A mix inside the main output's "
               "window (−10 to −6 dBFS) has that.");
    result_->setText(text);
}

void HandOffPanel::start_when_known() {
    if (work_.materials.busy() || work_.plugins.is_looking()) return;
    if (std::exchange(waits_to_start_, false)) start();
}

void HandOffPanel::start() {
    // Pressed again while it waits, it is one export.
    if (waits_to_start_) return;
    // What is exported is what the files hold now, and known to the last sample.
    const bool changed = !work_.materials.shaping() && work_.materials.look_for_changed_files();
    if (work_.materials.busy() || work_.plugins.is_looking()) {
        emit work_.view.hint(changed ? tr("A changed file is being measured. The export starts after that.")
                                     : tr("The chains are still being computed. The export starts after that."));
        waits_to_start_ = true;
        return;
    }
    const MixPlans plans = work_.player.mix_plans();
    ExportQueue::Job job{plans.bare,
                         work_.document.session(),
                         form_->delivery(),
                         checks_->checks(),
                         form_->with_sheet(),
                         form_->as_print(),
                         {}};
    if (work_.exports.has(job)) {
        emit work_.view.hint(tr("These files are already being exported. Wait for the end, or choose other names."));
        return;
    }
    if (work_.mix.leaving_figures()) {
        const InEnglish sheet;  // it goes to whoever masters, wherever that is
        job.checks = check_now();
    }
    const bool with_main = main_chain_export(job.session).mixes != MainChain::out;
    const auto absent = [&] {
        std::vector<std::string> all;
        for (const MissingFile& m : work_.materials.missing()) all.push_back(m.track + ": " + m.error.text());
        for (const AbsentProcessor& p : absent_processors(job.session, *plans.finished, with_main))
            all.push_back(p.text);
        return all;
    };
    if (const std::vector<std::string> missing = absent(); !missing.empty()) {
        QStringList lines;
        for (size_t n = 0; n < std::min<size_t>(missing.size(), 5); ++n) lines << QString::fromStdString(missing[n]);
        if (missing.size() > 5) lines << tr("and %n more", nullptr, static_cast<int>(missing.size() - 5));
        if (work_.prompter->ask(tr("The mix is incomplete"), tr("The export would lack:") + "\n\n" + lines.join("\n"),
                                tr("Export without them"), {}) != Prompter::Answer::yes)
            return;
        const InEnglish sheet;
        job.left_out = absent();
    }
    const auto papers = [sheet = job.sheet](const Delivery& d) {
        return sheet ? ExportQueue::papers(d) : std::vector<fs::path>();
    };
    std::vector<fs::path> files = files_of(job.plan, job.session, job.delivery);
    for (const fs::path& f : papers(job.delivery)) files.push_back(f);
    // A print is never replaced by the next one, nor is anything else that the session needs.
    const ProtectedFiles kept = protected_by(job.session, job.delivery.session_file);
    const bool anew =
        job.print || std::any_of(files.begin(), files.end(), [&](const auto& f) { return !kept.allow(f); });
    if (anew) {
        job.delivery = with_free_names(job.plan, job.session, job.delivery, papers);
        files.clear();
    }
    QStringList there;
    for (const fs::path& f : files)
        if (is_there(f)) there << to_qt(f.filename());
    if (!there.isEmpty()) {
        const QString text = there.size() == 1 ? tr("%1 already exists. Replace it?").arg(there.front())
                                               : tr("%1 and %n more file(s) already exist. Replace them?", nullptr,
                                                    static_cast<int>(there.size()) - 1)
                                                     .arg(there.front());
        if (work_.prompter->ask(tr("The file exists"), text, tr("Replace"), {}) != Prompter::Answer::yes) return;
        job.delivery.overwrite = true;
    }
    work_.exports.add(std::move(job));
}

void paint_hand_off_ruler(QPainter& painter, const QRect& area, const Workspace&) {
    Ruler::level(20.0, area.width() / 2.0).paint(painter, area);
    painter.setPen(theme().faint);
    painter.setFont(lettering(11));
    const int left = area.width() / 2 + 24;
    write_in(painter, QRect(left, 0, area.width() - left - 8, area.height() - 2),
             QCoreApplication::translate("Station", "contribution of each track to the mix, after its fader"));
}

QString HandOffStation::title() const { return QCoreApplication::translate("Station", "Hand off"); }

QString HandOffStation::state(const Workspace& work) const {
    const auto& peak = work.mix.peak();
    if (!peak || !peak->dbfs) return {};
    return QCoreApplication::translate("Station", "headroom %1").arg(db_text(-*peak->dbfs));
}

}  // namespace isotonus
