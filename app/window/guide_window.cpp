#include "app/window/guide_window.h"

#include <QCoreApplication>
#include <QShortcut>

#include "app/desk/prompter.h"
#include "app/style/language.h"
#include "app/style/theme.h"

namespace isotonus {

std::optional<std::filesystem::path> guide_folder() {
    const auto beside = from_qt(QCoreApplication::applicationDirPath());
    std::error_code problem;
    for (const char* there : {"../share/doc/isotonus/guide", "../packaging/guide", "../../packaging/guide"})
        for (const auto& folder : {beside / there / spoken().toStdString(), beside / there})
            if (std::filesystem::exists(folder / "the-first-ten-minutes.html", problem)) return folder;
    return std::nullopt;
}

GuideWindow::GuideWindow(const std::filesystem::path& folder, QWidget* parent) : QTextBrowser(parent), folder_(folder) {
    setObjectName("guideWindow");
    setWindowFlag(Qt::Window);
    setWindowTitle(tr("Guide"));
    setAccessibleName(tr("Guide"));
    resize(on_screen({860, 760}, *this));
    // The pages have colours of their own, which stand on their own paper, by day and by night.
    QPalette paper = palette();
    paper.setColor(QPalette::Base, QColor("#FBF8F1"));
    paper.setColor(QPalette::Text, QColor("#1E2B33"));
    paper.setColor(QPalette::Link, QColor("#14606B"));
    setPalette(paper);
    setStyleSheet("QTextBrowser { background: #FBF8F1; color: #1E2B33; padding: 8px; }");
    // A page's own links would be a browser's blue.
    document()->setDefaultStyleSheet("a { color: #14606B; }");
    setOpenExternalLinks(false);
    connect(new QShortcut(Qt::Key_Escape, this), &QShortcut::activated, this, &QWidget::close);
    show_page("the-first-ten-minutes");
}

void GuideWindow::show_page(const QString& page, const QString& term) {
    QUrl url = QUrl::fromLocalFile(to_qt(folder_ / (page.toStdString() + ".html")));
    if (!term.isEmpty()) url.setFragment(term);
    setSource(url);
}

}  // namespace isotonus
