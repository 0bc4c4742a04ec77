#include "app/shape/plugin_dialog.h"

#include <QDialogButtonBox>
#include <QHBoxLayout>
#include <QVBoxLayout>
#include <algorithm>

#include "app/style/theme.h"

namespace isotonus {

PluginDialog::PluginDialog(QWidget* parent) : QDialog(parent), all_(known_plugins()), timer_(new QTimer(this)) {
    setObjectName("pluginDialog");
    setWindowTitle(tr("Add a plug-in"));
    resize(on_screen({560, 440}, *this));
    auto* column = new QVBoxLayout(this);
    search_ = new QLineEdit;
    search_->setObjectName("pluginSearch");
    search_->setPlaceholderText(tr("A word of its name, class or maker"));
    search_->setAccessibleName(tr("Search"));
    search_->setToolTip(tr("Shows only plug-ins with these words in their name, class or maker."));
    column->addWidget(search_);
    list_ = new QListWidget;
    list_->setObjectName("pluginList");
    list_->setAccessibleName(tr("Plug-ins"));
    column->addWidget(list_, 1);
    about_ = new QLabel;
    about_->setObjectName("pluginAbout");
    about_->setWordWrap(true);
    about_->setMinimumHeight(36);
    column->addWidget(about_);
    auto* row = new QHBoxLayout;
    look_ = new QPushButton(tr("Search again"));
    look_->setObjectName("pluginLook");
    look_->setToolTip(tr("Searches this machine for new plug-ins. Each is started once, in a process of its own."));
    bar_ = new QProgressBar;
    bar_->setTextVisible(false);
    bar_->setRange(0, 1000);
    bar_->hide();
    add_ = new QPushButton(tr("Add"));
    add_->setObjectName("pluginAdd");
    add_->setToolTip(tr("Adds the selected plug-in to the chain."));
    add_->setDefault(true);
    auto* buttons = new QDialogButtonBox(QDialogButtonBox::Cancel);
    buttons->addButton(add_, QDialogButtonBox::AcceptRole);
    for (QWidget* w : std::initializer_list<QWidget*>{look_, bar_}) row->addWidget(w);
    row->addStretch(1);
    row->addWidget(buttons);
    column->addLayout(row);
    connect(search_, &QLineEdit::textChanged, this, &PluginDialog::show_found);
    connect(list_, &QListWidget::itemDoubleClicked, add_, &QPushButton::click);
    connect(list_, &QListWidget::currentRowChanged, this, [this](int n) {
        add_->setEnabled(chosen() != nullptr);
        if (n < 0) return;
        const Plugin& p = shown_[static_cast<size_t>(n)];
        if (p.missing)
            about_->setText(tr("This plug-in was installed once, and is missing now."));
        else if (!p.fault.empty())
            about_->setText(
                tr("The plug-in cannot be used: %1. Choose another one.").arg(QString::fromStdString(p.fault)));
        else
            about_->setText(QString::fromStdString(p.uri));
    });
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    connect(look_, &QPushButton::clicked, this, &PluginDialog::look);
    timer_->setInterval(50);
    connect(timer_, &QTimer::timeout, this, [this] {
        if (looking_) bar_->setValue(static_cast<int>(looking_->fraction() * 1000.0));
    });
    show_found();
    look();
}

const ProcessorType* PluginDialog::chosen() const {
    const int n = list_->currentRow();
    if (n < 0) return nullptr;
    const Plugin& p = shown_[static_cast<size_t>(n)];
    return p.missing ? nullptr : p.type;
}

void PluginDialog::look() {
    if (looking_) {
        looking_->cancel();
        return;
    }
    looking_ = std::make_shared<Progress>();
    look_->setText(tr("Stop the search"));
    bar_->show();
    timer_->start();
    jobs_.start([](Progress& progress) { return scan_plugins(&progress); },
                [this, progress = looking_](const Result<std::vector<Plugin>>& found) {
                    looking_.reset();
                    timer_->stop();
                    bar_->hide();
                    look_->setText(tr("Search again"));
                    all_ = found ? *found : known_plugins();
                    show_found();
                    if (!found && !progress->cancelled()) about_->setText(QString::fromStdString(found.error().text()));
                },
                looking_);
}

void PluginDialog::show_found() {
    const int row = list_->currentRow();
    const std::string before = row >= 0 ? shown_[static_cast<size_t>(row)].uri : "";
    shown_ = plugins_like(all_, search_->text().toStdString());
    // What cannot be used comes last.
    std::stable_partition(shown_.begin(), shown_.end(), [](const Plugin& p) { return p.type && !p.missing; });
    list_->clear();
    int chosen_row = 0;
    for (const Plugin& p : shown_) {
        auto* item = new QListWidgetItem(
            QString::fromStdString(p.name) + (p.kind.empty() ? QString() : "  –  " + QString::fromStdString(p.kind)),
            list_);
        if (!p.type || p.missing) item->setForeground(theme().faint);
        if (p.uri == before) chosen_row = list_->count() - 1;
    }
    if (list_->count() > 0) list_->setCurrentRow(chosen_row);
    add_->setEnabled(chosen() != nullptr);
    if (all_.empty())
        about_->setText(looking_ ? tr("Searching for plug-ins…")
                                 : tr("No plug-in was found. Install LV2 plug-ins from Debian, and search again."));
}

}  // namespace isotonus
