#include "app/style/theme.h"

#include <QApplication>
#include <QFile>
#include <QFontDatabase>
#include <QPainter>
#include <QPainterPath>
#include <QPalette>
#include <QPixmapCache>
#include <QScreen>
#include <QSvgRenderer>
#include <QWidget>

namespace isotonus {

namespace {

const Theme day{false,
                "#F4F0E6",
                "#FBF8F1",
                "#1E2B33",
                "#5B676E",
                "#D8D1C1",
                "#8C877A",
                "#14606B",
                "#466A8C",
                "#27704F",
                "#905600",
                "#B3261E",
                {"#8C4A3C", "#3F6B8A", "#7A6A1F", "#4F7A4A", "#7B4F86", "#A0622D", "#2F7475", "#94506A", "#5A5FA0",
                 "#66713A", "#86583F", "#4A6670"}};
const Theme night{true,
                  "#14202B",
                  "#1B2A37",
                  "#E9E4D6",
                  "#9DAAB3",
                  "#2D3E4C",
                  "#62788A",
                  "#58B7B0",
                  "#7FA0BF",
                  "#55B58A",
                  "#E3A43C",
                  "#F2695E",
                  {"#D08A7A", "#7FB0D2", "#C9B458", "#8FC088", "#BE92CA", "#DDA06A", "#6FBDBD", "#D68FAB", "#9DA2E0",
                   "#A9B672", "#C79A80", "#8FAFBB"}};
const Theme* current = &day;

QString style_sheet(const Theme& t) {
    QString sheet = R"(
* { font-family: "Isotonus Instrument"; font-size: 13px; color: TEXT; }
QMainWindow, QDialog, #window, #monitoringSwitches { background: GROUND; }
QToolTip { background: PANEL; color: TEXT; border: 1px solid FAINT; padding: 4px; }
QToolButton, QPushButton { background: transparent; border: 1px solid transparent; padding: 2px 6px; }
QPushButton { border: 1px solid FAINT; padding: 4px 12px; background: PANEL; }
QToolButton:hover, QPushButton:hover { border-color: ACCENT; }
QPushButton:default { border: 1px solid ACCENT; color: ACCENT; }
QToolButton:checked { background: TEXT; color: GROUND; }
QToolButton:disabled, QPushButton:disabled { color: FAINT; }
QToolButton::menu-indicator { image: none; }
QAbstractSpinBox::up-button, QAbstractSpinBox::down-button { width: 0; border: none; }
#mains QToolButton { border: 1px solid SCALE; }
#mains QToolButton:hover { border-color: ACCENT; }
QToolButton#mute:checked { background: FAINT; color: GROUND; }
QToolButton#solo:checked { background: ACCENT; color: GROUND; }
QToolButton#clipFlag { background: CLIPPED; color: GROUND; }
QMenu { background: PANEL; border: 1px solid FAINT; }
QMenu::item { padding: 4px 24px 4px 12px; }
QMenu::item:selected { background: ACCENT; color: GROUND; }
QMenu::item:disabled { color: FAINT; }
QMenu::separator { height: 1px; background: RULE; margin: 4px 8px; }
QPushButton:checked { background: ACCENT; color: GROUND; }
QTableWidget::item { padding: 0 4px; }
QCheckBox::indicator, QTableView::indicator { width: 12px; height: 12px; border: 1px solid FAINT; background: PANEL; }
QCheckBox::indicator:checked, QTableView::indicator:checked { background: ACCENT; border-color: ACCENT; }
QCheckBox, QRadioButton { border: 2px solid transparent; }
QLineEdit, QComboBox, QTextBrowser, QTableWidget, QDoubleSpinBox, QSpinBox, QPlainTextEdit { background: PANEL; border: 1px solid FAINT; padding: 3px 6px; selection-background-color: ACCENT; selection-color: GROUND; }
QComboBox::drop-down { border: none; width: 22px; }
QComboBox::down-arrow { image: url(:/icons/down.svg); width: 12px; height: 12px; }
QDialogButtonBox { dialogbuttonbox-buttons-have-icons: 0; }
QLabel { background: transparent; }
QLabel#rideCaption { color: FAINT; font-size: 11px; }
QComboBox QAbstractItemView { background: PANEL; border: 1px solid FAINT; selection-background-color: ACCENT; selection-color: GROUND; }
QScrollArea, QScrollArea > QWidget > QWidget { background: transparent; border: none; }
QScrollBar:vertical { background: GROUND; width: 8px; }
QScrollBar::handle:vertical { background: FAINT; min-height: 24px; margin: 0 2px; }
QScrollBar:horizontal { background: GROUND; height: 8px; }
QScrollBar::handle:horizontal { background: FAINT; min-width: 24px; margin: 2px 0; }
QScrollBar::add-line, QScrollBar::sub-line { height: 0; width: 0; }
QProgressBar { background: PANEL; border: 1px solid FAINT; height: 14px; text-align: center; }
QProgressBar::chunk { background: ACCENT; }
QToolButton:focus, #mains QToolButton:focus { border: 2px solid FOCUS; padding: 1px 5px; }
QPushButton:focus { border: 2px solid FOCUS; padding: 3px 11px; }
QCheckBox:focus, QRadioButton:focus { border: 2px solid FOCUS; }
QLineEdit:focus, QComboBox:focus, QTextBrowser:focus, QTableWidget:focus, QDoubleSpinBox:focus, QSpinBox:focus, QPlainTextEdit:focus, QListWidget:focus, QTreeWidget:focus { border: 2px solid FOCUS; padding: 2px 5px; }
QHeaderView::section { background: GROUND; border: none; border-bottom: 1px solid RULE; padding: 2px 6px; }
)";
    const std::pair<const char*, QColor> words[] = {{"GROUND", t.ground},   {"PANEL", t.panel}, {"TEXT", t.text},
                                                    {"FAINT", t.faint},     {"RULE", t.rule},   {"ACCENT", t.accent},
                                                    {"CLIPPED", t.clipped}, {"SCALE", t.scale}, {"FOCUS", t.focus()}};
    for (const auto& [word, colour] : words) sheet.replace(word, colour.name());
    return sheet;
}

}  // namespace

const Theme& theme() { return *current; }

void load_fonts() {
    static const bool loaded = [] {
        QFontDatabase::addApplicationFont(":/fonts/IsotonusInstrument-Regular.otf");
        QFontDatabase::addApplicationFont(":/fonts/IsotonusInstrument-Bold.otf");
        return true;
    }();
    (void)loaded;
}

void set_night(bool on) {
    load_fonts();
    current = on ? &night : &day;
    const Theme& t = *current;
    QPalette palette;
    palette.setColor(QPalette::Window, t.ground);
    palette.setColor(QPalette::WindowText, t.text);
    palette.setColor(QPalette::Base, t.panel);
    palette.setColor(QPalette::AlternateBase, t.ground);
    palette.setColor(QPalette::Text, t.text);
    palette.setColor(QPalette::Button, t.panel);
    palette.setColor(QPalette::ButtonText, t.text);
    palette.setColor(QPalette::Highlight, t.accent);
    palette.setColor(QPalette::HighlightedText, t.ground);
    palette.setColor(QPalette::PlaceholderText, t.faint);
    palette.setColor(QPalette::ToolTipBase, t.panel);
    palette.setColor(QPalette::ToolTipText, t.text);
    QApplication::setPalette(palette);
    qApp->setFont(lettering(13));
    qApp->setStyleSheet(style_sheet(t));
    for (QWidget* w : QApplication::allWidgets()) w->update();
}

QFont lettering(int pixels, bool bold) {
    QFont f("Isotonus Instrument");
    f.setPixelSize(pixels);
    f.setBold(bold);
    return f;
}

QSize on_screen(QSize wanted, const QWidget& window) {
    constexpr QSize frame(20, 60);
    const QScreen* screen = window.screen();
    if (!screen || QGuiApplication::platformName() == "offscreen") return wanted;
    return wanted.boundedTo(screen->availableSize() - frame);
}

QIcon icon(const QString& name) {
    const QString text = theme().text.name(), key = "icon " + name + ' ' + text;
    QPixmap picture(40, 40);
    if (QPixmapCache::find(key, &picture)) return QIcon(picture);
    QFile file(":/icons/" + name + ".svg");
    if (!file.open(QIODevice::ReadOnly)) return {};
    QSvgRenderer renderer(file.readAll().replace("currentColor", text.toLatin1()));
    picture.fill(Qt::transparent);
    QPainter painter(&picture);
    renderer.render(&painter);
    painter.end();
    QPixmapCache::insert(key, picture);
    return QIcon(picture);
}

void paint_focus(QPainter& painter, const QRect& area) {
    const auto& colour = theme().focus();
    painter.fillRect(area.left(), area.top(), area.width(), 2, colour);
    painter.fillRect(area.left(), area.bottom() - 1, area.width(), 2, colour);
    painter.fillRect(area.left(), area.top(), 2, area.height(), colour);
    painter.fillRect(area.right() - 1, area.top(), 2, area.height(), colour);
}

void paint_ride_mark(QPainter& painter, int x, int y) {
    QPainterPath wave(QPointF(x, y));
    wave.cubicTo(x + 4.0, y - 6.0, x + 6.0, y - 6.0, x + 9.0, y);
    wave.cubicTo(x + 12.0, y + 6.0, x + 14.0, y + 6.0, x + 18.0, y);
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(theme().accent, 1.5));
    painter.drawPath(wave);
    painter.restore();
}

}  // namespace isotonus
