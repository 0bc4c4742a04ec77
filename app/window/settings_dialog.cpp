#include "app/window/settings_dialog.h"

#include <QDialogButtonBox>
#include <QPushButton>

#include "app/style/language.h"
#include "app/style/text.h"
#include "app/style/theme.h"
#include "core/files/artifact_cache.h"
#include "engine/device.h"

namespace isotonus {

SettingsDialog::SettingsDialog(Settings& settings, Workspace& work, QWidget* parent)
    : QDialog(parent), settings_(settings), work_(work), form_(new QFormLayout(this)) {
    setObjectName("settingsDialog");
    setWindowTitle(tr("Settings"));
    add_sound();
    add_views();
    add_monitoring();
    add_law();
    add_cache();
    add_language_and_colours();
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel);
    form_->addRow(buttons);
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
}

void SettingsDialog::add_sound() {
    device_ = new QComboBox;
    device_->setObjectName("settingsDevice");
    for (const std::string& name : device_names()) device_->addItem(QString::fromStdString(name));
    device_->setCurrentText(work_.player.device_name());
    form_->addRow(tr("Sound device"), device_);
    block_ = new QComboBox;
    block_->setObjectName("settingsBlock");
    for (const int frames : {64, 128, 256, 512, 1024, 2048}) block_->addItem(tr("%1 frames").arg(frames), frames);
    block_->setCurrentIndex(std::max(0, block_->findData(settings_.block_frames())));
    block_->setToolTip(tr("Short blocks answer faster; long ones are safer on a busy machine."));
    form_->addRow(tr("Block"), block_);
}

void SettingsDialog::add_views() {
    rms_ = new QComboBox;
    rms_->setObjectName("settingsRms");
    rms_->addItem(tr("AES17: a full-scale sine reads 0 dBFS"), false);
    rms_->addItem(tr("plain RMS: a full-scale sine reads −3.0 dBFS"), true);
    rms_->setCurrentIndex(settings_.plain_rms() ? 1 : 0);
    form_->addRow(tr("Averages"), rms_);
    rows_ = new QComboBox;
    rows_->setObjectName("settingsRows");
    for (const int pixels : {24, 28, 32, 36, 40}) rows_->addItem(tr("%1 pixels").arg(pixels), pixels);
    rows_->setCurrentIndex(std::max(0, rows_->findData(settings_.row_height())));
    rows_->setToolTip(tr("Low rows show more of a large session at once."));
    form_->addRow(tr("Rows are high"), rows_);
}

QDoubleSpinBox* SettingsDialog::add_level(const char* name, const QString& text, const QString& unit, double low,
                                          double high, double now, const QString& why) {
    auto* box = new QDoubleSpinBox;
    box->setObjectName(name);
    box->setRange(low, high);
    box->setDecimals(0);
    box->setSuffix(' ' + unit);
    box->setValue(now);
    box->setToolTip(why);
    form_->addRow(text, box);
    return box;
}

void SettingsDialog::add_monitoring() {
    dim_ = add_level("settingsDim", tr("Dim"), "dB", -40, -6, settings_.dim_db(),
                     tr("How much lower the dim switch makes it."));
    quiet_ = add_level("settingsQuiet", tr("Quiet check"), "dB", -60, -10, settings_.quiet_db(),
                       tr("How much lower the quiet check makes it: far enough that the weakest vanish."));
    rest_ = add_level("settingsRest", tr("The rest, while listening to rows"), "dB", -60, -3, settings_.rest_db(),
                      tr("How far the rest of the mix steps back."));
    alone_ = new QComboBox;
    alone_->setObjectName("settingsAlone");
    alone_->addItem(tr("the rest is silent"), false);
    alone_->addItem(tr("the rest steps back as far"), true);
    alone_->setCurrentIndex(settings_.rest_dimmed() ? 1 : 0);
    alone_->setToolTip(tr("A return is often judged better over a quiet mix than alone."));
    form_->addRow(tr("While a bus or a return is heard"), alone_);
    loud_ =
        add_level("settingsLoud", tr("A mix of −18 dBFS is heard at"), "dB SPL", 50, 95, settings_.listening_db_spl(),
                  tr("Where your loudspeakers stand: audibility is computed for it."));
}

void SettingsDialog::add_law() {
    law_ = new QComboBox;
    law_->setObjectName("settingsPanLaw");
    law_->addItems({tr("equal power: −3.0 dB in the centre"), tr("compromise: −4.5 dB in the centre"),
                    tr("linear: −6.0 dB in the centre"), tr("balance: 0.0 dB in the centre")});
    law_->setCurrentIndex(static_cast<int>(work_.document.session().pan_law));
    law_->setToolTip(tr("How loud a sound is in the centre against the sides: of this session, and of its exports."));
    form_->addRow(tr("Pan law of the session"), law_);
}

void SettingsDialog::add_cache() {
    auto* cache_row = new QWidget;
    auto* cache_layout = new QHBoxLayout(cache_row);
    cache_layout->setContentsMargins(0, 0, 0, 0);
    cache_ = new QSpinBox;
    cache_->setObjectName("settingsCache");
    cache_->setRange(1, 1024);
    cache_->setSuffix(" GiB");
    cache_->setValue(settings_.cache_gib());
    cache_->setToolTip(
        tr("Measurements and converted files are kept up to this much; what was not used for longest goes."));
    auto* empty = new QPushButton(tr("Empty it now"));
    empty->setObjectName("settingsEmptyCache");
    empty->setToolTip(tr("All but what was used within the last hour; it is made again when it is needed."));
    cache_layout->addWidget(cache_);
    cache_layout->addWidget(empty);
    form_->addRow(tr("Cache at most"), cache_row);
    connect(empty, &QPushButton::clicked, this,
            [empty] { empty->setText(tr("%1 are left").arg(size_text(tidy_cache(0)))); });
}

void SettingsDialog::add_language_and_colours() {
    language_ = new QComboBox;
    language_->setObjectName("settingsLanguage");
    language_->addItem(tr("as the system's"), QString());
    for (const auto& [code, name] : languages()) language_->addItem(name, code);
    language_->setCurrentIndex(std::max(0, language_->findData(settings_.language())));
    language_->setToolTip(tr("From the next start on."));
    form_->addRow(tr("Language"), language_);
    night_ = new QCheckBox(tr("night colours"));
    night_->setChecked(theme().night);
    form_->addRow(QString(), night_);
}

void SettingsDialog::store() {
    settings_.set_language(language_->currentData().toString());
    settings_.set_block_frames(block_->currentData().toInt());
    settings_.set_cache_gib(cache_->value());
    if (const auto wanted = static_cast<PanLaw>(law_->currentIndex()); wanted != work_.document.session().pan_law) {
        Session next = work_.document.session();
        next.pan_law = wanted;
        work_.document.edit(tr("Pan law: %1").arg(law_->currentText().section(':', 0, 0)), std::move(next));
    }
    settings_.set_plain_rms(rms_->currentData().toBool());
    settings_.set_row_height(rows_->currentData().toInt());
    settings_.set_rest_dimmed(alone_->currentData().toBool());
    settings_.set_monitoring(dim_->value(), quiet_->value(), rest_->value(), loud_->value());
}

}  // namespace isotonus
