#include "app/window/explain.h"

#include <QApplication>
#include <QFile>
#include <QHelpEvent>
#include <QMenu>
#include <QRegularExpression>
#include <QToolTip>
#include <QWhatsThis>
#include <QWidget>
#include <algorithm>

#include "app/desk/prompter.h"

namespace isotonus {

QStringList glossary_terms(const std::filesystem::path& guide) {
    QFile page(to_qt(guide / "glossary.html"));
    if (!page.open(QIODevice::ReadOnly)) return {};
    static const QRegularExpression name("<a name=\"([^\"]+)\">");
    QStringList terms;
    for (auto at = name.globalMatch(QString::fromUtf8(page.readAll())); at.hasNext();) terms << at.next().captured(1);
    // "True peak" before "Peak", which is a part of it.
    std::stable_sort(terms.begin(), terms.end(),
                     [](const QString& a, const QString& b) { return a.size() > b.size(); });
    return terms;
}

QString with_terms_linked(const QString& text, const QStringList& terms) {
    QString html = text.toHtmlEscaped();
    // Marks first, links afterwards: what is inside a link is not looked at again.
    for (qsizetype n = 0; n < terms.size(); ++n) {
        const QRegularExpression mention(
            "(?<![\\p{L}\\x{1}])(" + QRegularExpression::escape(terms[n].toHtmlEscaped()) + "(?:s|es|n|en)?)(?!\\p{L})",
            QRegularExpression::CaseInsensitiveOption);
        const auto found = mention.match(html);
        if (!found.hasMatch()) continue;
        html.replace(found.capturedStart(), found.capturedLength(),
                     QString("\x01%1\x02%2\x03")
                         .arg(n)
                         .arg(QString(found.captured()).replace(QRegularExpression("(\\p{L})"), "\\1\x04")));
    }
    static const QRegularExpression mark("\x01([0-9]+)\x02([^\x03]*)\x03");
    for (auto found = mark.match(html); found.hasMatch(); found = mark.match(html))
        html.replace(found.capturedStart(), found.capturedLength(),
                     QString("<a href=\"%1\">%2</a>").arg(terms[found.captured(1).toInt()], found.captured(2)));
    return html.remove(QChar(4));
}

Explainer::Explainer(QStringList terms, QObject* parent) : QObject(parent), terms_(std::move(terms)) {
    qApp->installEventFilter(this);
}

bool Explainer::eventFilter(QObject* object, QEvent* event) {
    auto* widget = qobject_cast<QWidget*>(object);
    // Qt leaves the tooltips of menus out unless each menu asks for them.
    if (event->type() == QEvent::Polish)
        if (auto* menu = qobject_cast<QMenu*>(widget)) menu->setToolTipsVisible(true);
    if (event->type() == QEvent::WhatsThisClicked) {
        emit glossary_wanted(static_cast<QWhatsThisClickedEvent*>(event)->href());
        return true;
    }
    if (!widget || (event->type() != QEvent::QueryWhatsThis && event->type() != QEvent::WhatsThis)) return false;
    const auto* help = static_cast<QHelpEvent*>(event);
    // A picture has another explanation in each of its places, and says it where it is asked for a tooltip.
    QHelpEvent asked(QEvent::ToolTip, help->pos(), help->globalPos());
    QToolTip::hideText();
    QApplication::sendEvent(widget, &asked);
    const QString text = widget->toolTip().isEmpty() ? QToolTip::text() : widget->toolTip();
    QToolTip::hideText();
    if (text.isEmpty()) return false;
    event->accept();
    if (event->type() == QEvent::WhatsThis)
        QWhatsThis::showText(help->globalPos(), with_terms_linked(text, terms_), widget);
    return true;
}

}  // namespace isotonus
