#include "app/window/settings_dialog.h"

#include "app/style/figure_box.h"

#include <QDialogButtonBox>
#include <QPushButton>

#include "app/desk/device_choices.h"
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
    for (const auto& [name, text] : device_choices(work_.player.wanted_device())) device_->addItem(text, name);
    device_->setCurrentIndex(device_->findData(work_.player.wanted_device()));
    device_->setToolTip(tr("Where the mix is played. A device that is lost is used again as soon as it is back."));
    form_->addRow(tr("Sound device"), device_);
    block_ = new QComboBox;
    block_->setObjectName("settingsBlock");
    for (const int frames : {64, 128, 256, 512, 1024, 2048}) block_->addItem(tr("%1 frames").arg(frames), frames);
    block_->setCurrentIndex(std::max(0, block_->findData(settings_.block_frames())));
    block_->setToolTip(
        tr("Number of frames per block. Short blocks react faster; long blocks are safer on a busy machine."));
    form_->addRow(tr("Block"), block_);
}

void SettingsDialog::add_views() {
    rms_ = new QComboBox;
    rms_->setObjectName("settingsRms");
    rms_->addItem(tr("AES17: a full-scale sine reads 0 dBFS"), false);
    rms_->addItem(tr("Plain RMS: a full-scale sine reads −3.0 dBFS"), true);
    rms_->setCurrentIndex(settings_.plain_rms() ? 1 : 0);
    rms_->setToolTip(
        tr("How averages are shown everywhere. Choose plain RMS if you compare with meters that read that way."));
    form_->addRow(tr("Averages"), rms_);
    rows_ = new QComboBox;
    rows_->setObjectName("settingsRows");
    for (const int pixels : {24, 28, 32, 36, 40}) rows_->addItem(tr("%1 pixels").arg(pixels), pixels);
    rows_->setCurrentIndex(std::max(0, rows_->findData(settings_.row_height())));
    rows_->setToolTip(tr("Height of a track. Low tracks show more of a large session."));
    form_->addRow(tr("Track height"), rows_);
}

QDoubleSpinBox* SettingsDialog::add_level(const char* name, const QString& text, const QString& unit, double low,
                                          double high, double now, const QString& why) {
    auto* box = new FigureBox;
    box->setObjectName(name);
    box->setRange(low, high);
    box->setDecimals(0);
    box->set_unit(unit);
    box->setValue(now);
    box->setToolTip(why);
    form_->addRow(text, box);
    return box;
}

void SettingsDialog::add_monitoring() {
    dim_ = add_level("settingsDim", tr("Dim"), "dB", -40, -6, settings_.dim_db(),
                     tr("How far the dim switch lowers the monitoring. 20 dB lets you talk over the music."));
    quiet_ = add_level("settingsQuiet", tr("Quiet check"), "dB", -60, -10, settings_.quiet_db(),
                       tr("How far the quiet check lowers the monitoring: the weakest parts should vanish."));
    rest_ =
        add_level("settingsRest", tr("Rest of the mix while tracks are heard alone"), "dB", -60, -3,
                  settings_.rest_db(), tr("How far the rest of the mix is lowered while you hear selected tracks."));
    alone_ = new QComboBox;
    alone_->setObjectName("settingsAlone");
    alone_->addItem(tr("Silent"), false);
    alone_->addItem(tr("Dimmed by the same"), true);
    alone_->setCurrentIndex(settings_.rest_dimmed() ? 1 : 0);
    alone_->setToolTip(
        tr("Whether the rest is silent or dimmed while a bus or return is heard. A return is often judged better over "
           "a quiet mix than alone."));
    form_->addRow(tr("Rest while a bus or return is heard"), alone_);
    loud_ = add_level("settingsLoud", tr("A mix of −18 dBFS plays at"), "dB SPL", 50, 95, settings_.listening_db_spl(),
                      tr("The sound level at your listening position. Audibility is computed for it."));
}

void SettingsDialog::add_law() {
    law_ = new QComboBox;
    law_->setObjectName("settingsPanLaw");
    law_->addItems({tr("Equal power: −3.0 dB in the centre"), tr("Compromise: −4.5 dB in the centre"),
                    tr("Linear: −6.0 dB in the centre"), tr("Balance: 0.0 dB in the centre")});
    law_->setCurrentIndex(static_cast<int>(work_.document.session().pan_law));
    law_->setToolTip(
        tr("How loud a sound is in the centre against the edges. The law belongs to this session and its exports; "
           "choose it before you balance."));
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
    cache_->setToolTip(tr("The limit for kept measurements and converted files. The oldest are deleted first."));
    auto* empty = new QPushButton(tr("Empty it now"));
    empty->setObjectName("settingsEmptyCache");
    empty->setToolTip(tr("Deletes all except files of the last hour. Deleted files are made again when needed."));
    cache_layout->addWidget(cache_);
    cache_layout->addWidget(empty);
    form_->addRow(tr("Limit of the cache"), cache_row);
    connect(empty, &QPushButton::clicked, this,
            [empty] { empty->setText(tr("%1 are left").arg(size_text(tidy_cache(0)))); });
}

void SettingsDialog::add_language_and_colours() {
    language_ = new QComboBox;
    language_->setObjectName("settingsLanguage");
    language_->addItem(tr("As the system"), QString());
    for (const auto& [code, name] : languages()) language_->addItem(name, code);
    language_->setCurrentIndex(std::max(0, language_->findData(settings_.language())));
    language_->setToolTip(tr("Takes effect at the next start."));
    form_->addRow(tr("Language"), language_);
    zoom_ = new QComboBox;
    zoom_->setObjectName("settingsZoom");
    for (const int percent : Settings::zooms) zoom_->addItem(tr("%1 %").arg(percent), percent);
    zoom_->setCurrentIndex(std::max(0, zoom_->findData(settings_.zoom())));
    zoom_->setToolTip(
        tr("The size of everything in the window, beside what the desktop asks for. Takes effect at the next start."));
    form_->addRow(tr("Size of the interface"), zoom_);
    night_ = new QCheckBox(tr("Night theme"));
    night_->setChecked(theme().night);
    night_->setToolTip(tr("Light text on a dark ground, for a dark room."));
    form_->addRow(QString(), night_);
}

void SettingsDialog::store() {
    settings_.set_language(language_->currentData().toString());
    settings_.set_zoom(zoom_->currentData().toInt());
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
