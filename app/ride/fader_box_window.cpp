#include "app/ride/fader_box_window.h"

#include <QGridLayout>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolButton>

#include "app/desk/ride_menu.h"
#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

namespace {
constexpr int margin = 12;
}

BoxFader::BoxFader(FaderBox& box, int number, QWidget* parent) : QWidget(parent), box_(box), number_(number) {
    setObjectName(QString("boxFader%1").arg(number + 1));
    setFocusPolicy(Qt::StrongFocus);
    setFixedSize(64, 220);
}

QString BoxFader::spoken_value() const { return db_text(fader_db_at(box_.position(number_))); }

void BoxFader::say(const QString& text) {
    if (const auto db = parse_level(text)) push_to(fader_position(*db));
}

void BoxFader::step(int by) { push_to(box_.position(number_) + 0.02 * by); }

void BoxFader::push_to(double position) {
    box_.touch(number_);
    box_.move(number_, std::clamp(position, 0.0, 1.0));
    box_.release(number_);
    update();
}

int BoxFader::y_of(double position) const {
    return margin + static_cast<int>(std::lround((1.0 - position) * (height() - 2 * margin)));
}

void BoxFader::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().ground);
    painter.setFont(lettering(11));
    const int middle = 18;
    for (const double db : {12.0, 6.0, 0.0, -6.0, -12.0, -24.0, -48.0}) {
        const int y = y_of(fader_position(db));
        painter.setPen(db == 0.0 ? theme().text : theme().faint);
        painter.drawLine(middle - 4, y, middle + 4, y);
        painter.drawText(QRect(middle + 18, y - 7, 26, 14), Qt::AlignVCenter, scale_text(db, "", true));
    }
    painter.setPen(theme().faint);
    painter.drawLine(middle, margin, middle, height() - margin);
    const int y = y_of(box_.position(number_));
    const QColor colour = box_.touched(number_) ? theme().above : theme().accent;
    painter.fillRect(middle - 14, y - 1, 29, 3, colour);
    painter.fillRect(middle - 14, y - 4, 2, 9, colour);
    if (hasFocus()) paint_focus(painter, rect());
}

void BoxFader::mousePressEvent(QMouseEvent* event) {
    last_y_ = event->position().y();
    at_ = box_.position(number_);
    box_.touch(number_);
    update();
}

void BoxFader::mouseMoveEvent(QMouseEvent* event) {
    const double fine = event->modifiers() & Qt::ShiftModifier ? 0.1 : 1.0;
    at_ = std::clamp(at_ + (last_y_ - event->position().y()) / (height() - 2.0 * margin) * fine, 0.0, 1.0);
    last_y_ = event->position().y();
    box_.move(number_, at_);
    update();
}

void BoxFader::mouseReleaseEvent(QMouseEvent*) {
    box_.release(number_);
    update();
}

void BoxFader::keyPressEvent(QKeyEvent* event) {
    const double step = event->modifiers() & Qt::ShiftModifier ? 0.002 : 0.02;
    if (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down) {
        box_.move(number_, box_.position(number_) + (event->key() == Qt::Key_Up ? step : -step));
        update();
        return;
    }
    QWidget::keyPressEvent(event);
}

FaderBoxWindow::FaderBoxWindow(Workspace& work, QWidget* parent)
    : QWidget(parent, Qt::Tool), work_(work), box_(work.faders.plug_box()) {
    setObjectName("faderBox");
    setAttribute(Qt::WA_DeleteOnClose);
    setWindowTitle(tr("Simulated fader box"));
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(12, 12, 12, 12);
    grid->setHorizontalSpacing(8);
    for (int n = 0; n < FaderBox::faders; ++n) {
        const auto i = static_cast<size_t>(n);
        names_[i] = new QLabel;
        names_[i]->setFixedWidth(64);
        names_[i]->setFont(lettering(11));
        faders_[i] = new BoxFader(box_, n, this);
        grid->addWidget(names_[i], 0, n);
        grid->addWidget(faders_[i], 1, n);
    }
    auto* speech = new QComboBox;
    speech->setObjectName("boxSpeech");
    speech->setAccessibleName(tr("MIDI messages"));
    speech->setToolTip(tr("The kind of MIDI message that the box sends. 14 bit moves faders in finer steps."));
    speech->addItems({tr("Pitch bend, 14 bit"), tr("Controls 7 and 39, 14 bit"), tr("Control 7")});
    connect(speech, &QComboBox::currentIndexChanged, this, [this](int n) { box_.speak(static_cast<FaderSpeech>(n)); });
    grid->addWidget(speech, 2, 0, 1, 4);
    const auto bank = [&](const QString& text, const char* name, const QString& tip, int by, int column) {
        auto* b = new QToolButton;
        b->setText(text);
        b->setObjectName(name);
        b->setToolTip(tip);
        connect(b, &QToolButton::clicked, this, [this, by] { work_.faders.set_bank(work_.faders.bank() + by); });
        grid->addWidget(b, 2, column, 1, 2);
    };
    bank(tr("8 channels up"), "bankUp", tr("The faders of the box control the 8 channels above."), -FaderBox::faders,
         4);
    bank(tr("8 channels down"), "bankDown", tr("The faders of the box control the 8 channels below."), FaderBox::faders,
         6);
    box_.moved = [this] {
        for (BoxFader* f : faders_) f->update();
    };
    connect(&work_.faders, &FaderLink::changed, this, &FaderBoxWindow::refresh);
    connect(&work_.document, &Document::session_changed, this, &FaderBoxWindow::refresh);
    refresh();
}

void FaderBoxWindow::refresh() {
    for (int n = 0; n < FaderBox::faders; ++n) {
        const auto target = work_.faders.target(FaderBox::address(box_.speech(), n));
        QString name = tr("–");
        if (target) {
            name = QString::fromStdString(work_.document.session().name_of(target->row));
            if (target->parameter != Parameter::level) name += ' ' + parameter_word(target->parameter);
        }
        QLabel* label = names_[static_cast<size_t>(n)];
        label->setText(QFontMetrics(label->font()).elidedText(name, Qt::ElideRight, 64));
        label->setToolTip(name);
        faders_[static_cast<size_t>(n)]->setAccessibleName(tr("Fader %1: %2").arg(n + 1).arg(name));
    }
}

void FaderBoxWindow::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.fillRect(rect(), theme().panel);
}

}  // namespace isotonus
