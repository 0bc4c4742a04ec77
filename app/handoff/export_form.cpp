#include "app/handoff/export_form.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <array>

#include "app/style/text.h"
#include "core/handoff/checks.h"

namespace isotonus {

namespace {

/// File types with their formats, as the form offers them.
struct Form {
    FileType type;
    SampleFormat format;
};
const std::array<Form, 10> forms{{{FileType::wav, SampleFormat::s24},
                                  {FileType::wav, SampleFormat::s16},
                                  {FileType::wav, SampleFormat::f32},
                                  {FileType::aiff, SampleFormat::s24},
                                  {FileType::aiff, SampleFormat::s16},
                                  {FileType::flac, SampleFormat::s24},
                                  {FileType::flac, SampleFormat::s16},
                                  {FileType::ogg, SampleFormat::f32},
                                  {FileType::opus, SampleFormat::f32},
                                  {FileType::mp3, SampleFormat::f32}}};

/// What an export consists of.
struct Content {
    const char* words;
    bool mix;
    StemSplit stems;
};
constexpr Content contents[] = {
    {QT_TRANSLATE_NOOP("isotonus::ExportForm", "The mix"), true, StemSplit::none},
    {QT_TRANSLATE_NOOP("isotonus::ExportForm", "The mix and a stem of each track"), true, StemSplit::tracks},
    {QT_TRANSLATE_NOOP("isotonus::ExportForm", "The mix and a stem of each family"), true, StemSplit::families},
    {QT_TRANSLATE_NOOP("isotonus::ExportForm", "The mix and a stem of each bus"), true, StemSplit::buses},
    {QT_TRANSLATE_NOOP("isotonus::ExportForm", "The mix and a stem of each group"), true, StemSplit::groups},
    {QT_TRANSLATE_NOOP("isotonus::ExportForm", "Stems of the tracks only"), false, StemSplit::tracks},
    {QT_TRANSLATE_NOOP("isotonus::ExportForm", "Stems of the families only"), false, StemSplit::families},
    {QT_TRANSLATE_NOOP("isotonus::ExportForm", "Stems of the buses only"), false, StemSplit::buses},
    {QT_TRANSLATE_NOOP("isotonus::ExportForm", "Stems of the groups only"), false, StemSplit::groups},
};

}  // namespace

ExportForm::ExportForm(Workspace& work, QWidget* parent) : QWidget(parent), work_(work), grid_(new QGridLayout(this)) {
    grid_->setContentsMargins(0, 0, 0, 0);
    grid_->setVerticalSpacing(4);
    grid_->setColumnStretch(1, 1);
    add_file();
    add_contents();
    add_format();
    add_ticks();
    for (QLineEdit* e : {file_, pattern_}) connect(e, &QLineEdit::textChanged, this, &ExportForm::changed);
    for (QComboBox* c : {what_, main_chain_, format_, rate_, range_})
        connect(c, &QComboBox::currentIndexChanged, this, &ExportForm::changed);
    for (QCheckBox* c : {shares_, tail_, sheet_}) connect(c, &QCheckBox::toggled, this, &ExportForm::changed);
    for (QCheckBox* c : {before_main_, shares_}) connect(c, &QCheckBox::toggled, this, &ExportForm::stems_changed);
    for (QComboBox* c : {what_, range_}) connect(c, &QComboBox::currentIndexChanged, this, &ExportForm::stems_changed);
    connect(&work_.player, &Player::loop_changed, this, &ExportForm::fill_ranges);
    connect(&work_.document, &Document::session_changed, this, [this] {
        fill_ranges();
        show_main_chain();
    });
    const char* home = std::getenv("HOME");
    fs::path folder = home ? home : "/tmp";
    if (work_.document.path()) folder = work_.document.path()->parent_path();
    file_->setText(to_qt(folder / (work_.document.name().toStdString() + " mix.wav")));
    fill_ranges();
    fill_as_kept();
    show_main_chain();
}

ExportForm::~ExportForm() { keep(); }

QLabel* ExportForm::add_line(const QString& text, QWidget* widget, QWidget* named) {
    auto* label = new QLabel(text);
    label->setBuddy(named);
    named->setAccessibleName(text);
    grid_->addWidget(label, lines_, 0);
    grid_->addWidget(widget, lines_++, 1);
    return label;
}

QComboBox* ExportForm::combo(const char* name) {
    auto* c = new QComboBox;
    c->setObjectName(name);
    c->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    return c;
}

QCheckBox* ExportForm::tick(const char* name, const QString& text, const QString& tip, bool on) {
    auto* c = new QCheckBox(text);
    c->setObjectName(name);
    c->setToolTip(tip);
    c->setChecked(on);
    return c;
}

void ExportForm::add_file() {
    auto* file_row = new QWidget;
    auto* file_layout = new QHBoxLayout(file_row);
    file_layout->setContentsMargins(0, 0, 0, 0);
    file_ = new QLineEdit;
    file_->setObjectName("exportFile");
    file_->setToolTip(tr("The file of the mix. The stems are written into the same folder."));
    auto* choose = new QPushButton(tr("Choose…"));
    choose->setToolTip(tr("Chooses folder and name of the mix."));
    choose->setObjectName("chooseExport");
    connect(choose, &QPushButton::clicked, this, &ExportForm::choose_file);
    file_layout->addWidget(file_, 1);
    file_layout->addWidget(choose);
    add_line(tr("Save to"), file_row, file_);
}

void ExportForm::add_contents() {
    what_ = combo("exportWhat");
    for (const Content& c : contents) what_->addItem(tr(c.words));
    what_->setToolTip(
        tr("What is exported. A mastering engineer usually needs the mix; stems when somebody goes on "
           "mixing."));
    main_chain_ = combo("exportMainChain");
    main_chain_->addItems({tr("Main chain bypassed"), tr("Main chain on"), tr("Both versions")});
    main_chain_->setAccessibleName(tr("Main chain"));
    main_chain_->setToolTip(
        tr("Whether the mix is exported with the main chain. Mastering usually needs it without, because limiting "
           "cannot be undone. Stems never contain the main chain."));
    connect(main_chain_, &QComboBox::activated, this, [this](int n) {
        Session next = work_.document.session();
        next.hand_off.main_chain = static_cast<MainChain>(n);
        work_.document.edit(tr("Hand off %1").arg(main_chain_->currentText()), std::move(next));
        work_.mix.need_figures();
    });
    auto* what_row = new QWidget;
    auto* what_layout = new QHBoxLayout(what_row);
    what_layout->setContentsMargins(0, 0, 0, 0);
    what_layout->addWidget(what_, 1);
    what_layout->addWidget(main_chain_, 1);
    add_line(tr("Contents"), what_row, what_);
    pattern_ = new QLineEdit("{session} {number} {part}");
    pattern_->setObjectName("exportPattern");
    pattern_->setToolTip(
        tr("Pattern for the names of the stems: {session} {part} {number} {section} {date} {rate} {bits} are replaced "
           "by their values."));
    pattern_label_ = add_line(tr("Stem names"), pattern_, pattern_);
}

void ExportForm::add_format() {
    format_ = combo("exportFormat");
    format_->addItems({tr("WAV, 24 bit"), tr("WAV, 16 bit"), tr("WAV, 32 bit float"), tr("AIFF, 24 bit"),
                       tr("AIFF, 16 bit"), tr("FLAC, 24 bit"), tr("FLAC, 16 bit"), tr("Ogg Vorbis"), tr("Opus"),
                       tr("MP3")});
    format_->setToolTip(tr("The format of the files. 24 bit WAV for mastering, MP3 only to send round."));
    connect(format_, &QComboBox::currentIndexChanged, this, [this](int n) {
        fs::path file = from_qt(file_->text());
        if (n < 0 || file.empty()) return;
        file_->setText(to_qt(file.replace_extension(file_type_name(forms[static_cast<size_t>(n)].type))));
    });
    rate_ = combo("exportRate");
    rate_->setToolTip(tr("The sample rate of the files. Keep the rate of the session for mastering."));
    auto* form_row = new QWidget;
    auto* form_layout = new QHBoxLayout(form_row);
    form_layout->setContentsMargins(0, 0, 0, 0);
    form_layout->addWidget(format_, 1);
    form_layout->addWidget(rate_, 1);
    rate_->setAccessibleName(tr("Rate"));
    range_ = combo("exportRange");
    range_->setToolTip(tr("The part of the song that is exported: all of it, the loop, or sections."));
    range_->setAccessibleName(tr("Range"));
    form_layout->addWidget(range_, 1);
    add_line(tr("Format"), form_row, format_);
}

void ExportForm::add_ticks() {
    before_main_ = tick("stemsBeforeMain", tr("Stems before the main fader"),
                        tr("Exports stems without the main fader and the rides of the main output. Use it when "
                           "mastering sets the level."),
                        false);
    shares_ = tick("stemsShares", tr("Returns in the stems"),
                   tr("Adds the reverbs and effects of a track to its stem. If off, returns and buses with chains get "
                      "stems of their own."),
                   false);
    tail_ = tick("exportTail", tr("With the tail"),
                 tr("Exports a section or loop until its sound has faded to silence."), false);
    bext_ = tick("exportBext", tr("Broadcast Wave"),
                 tr("Writes date, position in the song and loudness into the file (EBU Tech 3285)."), true);
    sheet_ = tick("exportSheet", tr("Hand-off sheet"),
                  tr("Writes figures, checks, notes and the recall list as PDF, JSON and text, and checksums."), false);
    print_ = tick("exportPrint", tr("Keep as a print"),
                  tr("Keeps the session of today beside the exported mix. Compare shows what has changed since, and "
                     "restores it."),
                  work_.view.keeps_prints);
    connect(print_, &QCheckBox::toggled, this, [this](bool on) {
        work_.view.keeps_prints = on;
        emit work_.view.prints_kept(on);
    });
    dither_ = tick(
        "exportDither", tr("Dither"),
        tr("Adds TPDF noise of ±1 LSB when the mix is reduced to 16 or 24 bit. Without it, the mix is rounded."), true);
    auto* ticks = new QWidget;
    auto* tick_grid = new QGridLayout(ticks);
    tick_grid->setContentsMargins(0, 2, 0, 0);
    tick_grid->setVerticalSpacing(2);
    QCheckBox* const all[] = {sheet_, print_, bext_, tail_, dither_, shares_, before_main_};
    for (int n = 0; n < 7; ++n) tick_grid->addWidget(all[n], n / 3, n % 3, 1, n == 6 ? 2 : 1);
    grid_->addWidget(ticks, lines_++, 0, 1, 2);
    // What speaks of stems is there when some leave.
    const auto with_stems = [this](int what) {
        for (QWidget* w : {static_cast<QWidget*>(pattern_label_), static_cast<QWidget*>(pattern_),
                           static_cast<QWidget*>(shares_), static_cast<QWidget*>(before_main_)})
            w->setVisible(what > 0);
    };
    connect(what_, &QComboBox::currentIndexChanged, this, with_stems);
    with_stems(what_->currentIndex());
}

void ExportForm::show_main_chain() {
    const Session& session = work_.document.session();
    main_chain_->setCurrentIndex(static_cast<int>(session.hand_off.main_chain));
    main_chain_->setVisible(!session.main_chain.empty());
    if (work_.player.mix_plans().differ() && !work_.mix.leaving_figures()) work_.mix.need_figures();
}

void ExportForm::keep() {
    QVariantMap& form = work_.exports.form;
    for (const QComboBox* c : {what_, format_, rate_, range_}) form[c->objectName()] = c->currentText();
    for (const QCheckBox* c : {before_main_, shares_, tail_, bext_, sheet_, print_, dither_})
        form[c->objectName()] = c->isChecked();
    for (const QLineEdit* e : {pattern_, file_}) form[e->objectName()] = e->text();
    form["session"] = work_.document.name();
}

void ExportForm::fill_as_kept() {
    const QVariantMap& form = work_.exports.form;
    if (form["session"] != work_.document.name()) return;  // of another song
    for (QComboBox* c : {what_, format_, rate_, range_}) c->setCurrentText(form[c->objectName()].toString());
    for (QCheckBox* c : {before_main_, shares_, tail_, bext_, sheet_, print_, dither_})
        c->setChecked(form[c->objectName()].toBool());
    for (QLineEdit* e : {pattern_, file_}) e->setText(form[e->objectName()].toString());
}

void ExportForm::fill_ranges() {
    const int rate_before = std::max(0, rate_->currentIndex()), range_before = std::max(0, range_->currentIndex());
    rate_->clear();
    rate_->addItem(tr("%1 kHz").arg(work_.document.session().sample_rate / 1000.0), 0);
    for (const int hz : {44100, 48000, 88200, 96000})
        rate_->addItem(tr("%1 kHz").arg(shown_figure(hz / 1000.0, hz % 1000 == 0 ? 0 : 1)), hz);
    rate_->setCurrentIndex(rate_before);
    range_->clear();
    const double song_s = work_.player.plan()->duration_s();
    const auto add = [this](const QString& name, double from_s, double to_s) {
        range_->addItem(name, QVariantList{from_s, to_s});
    };
    add(tr("Whole song"), 0.0, 0.0);
    if (const auto& loop = work_.player.loop(); loop.to_s > loop.from_s)
        add(tr("Loop, %1 to %2").arg(time_text(loop.from_s), time_text(loop.to_s)), loop.from_s, loop.to_s);
    const auto& sections = work_.document.session().sections;
    if (sections.size() > 1) range_->addItem(tr("Each section as a file"), QVariantList());
    for (size_t i = 0; i < sections.size(); ++i)
        add(tr("Section %1, %2").arg(i + 1).arg(QString::fromStdString(sections[i].name)), sections[i].start_s,
            i + 1 < sections.size() ? sections[i + 1].start_s : song_s);
    range_->setCurrentIndex(std::min(range_before, range_->count() - 1));
}

void ExportForm::choose_file() {
    if (const auto file = work_.prompter->save_file(
            tr("Export the mix as"), tr("Audio (*.wav *.aiff *.flac *.ogg *.opus *.mp3)"), from_qt(file_->text())))
        file_->setText(to_qt(*file));
}

Delivery ExportForm::delivery() const {
    const Form& form = forms[static_cast<size_t>(format_->currentIndex())];
    Delivery d;
    const fs::path file = from_qt(file_->text());
    d.folder = file.parent_path();
    d.mix_name = file.stem().string();
    d.session_name = work_.document.name().toStdString();
    if (!pattern_->text().trimmed().isEmpty()) d.pattern = pattern_->text().toStdString();
    const Content& content = contents[static_cast<size_t>(what_->currentIndex())];
    d.mix = content.mix;
    d.stems = content.stems;
    d.stems_before_main = before_main_->isChecked();
    d.shares = shares_->isChecked();
    d.main_chain = main_chain_export(work_.document.session()).mixes;
    d.finished = work_.player.mix_plans().finished;
    d.tail = tail_->isChecked();
    d.dither = dither_->isChecked() ? Dither::always : Dither::none;
    d.type = form.type;
    d.format = form.format;
    d.sample_rate = rate_->currentData().toInt();
    d.bext = bext_->isChecked() && form.type == FileType::wav;
    date_now(d);
    d.session_file = work_.document.path().value_or(fs::path());
    const QVariantList range = range_->currentData().toList();
    const RenderPlan& plan = *work_.player.plan();
    if (range.isEmpty())
        d.excerpts = section_excerpts(work_.document.session(), plan);
    else if (range[1].toDouble() > 0.0)
        if (const auto excerpt = excerpt_between(plan, range[0].toDouble(), range[1].toDouble()))
            d.excerpts.push_back(*excerpt);
    return d;
}

}  // namespace isotonus
