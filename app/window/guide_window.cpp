#include "app/window/guide_window.h"

#include <QCoreApplication>

#include "app/desk/prompter.h"
#include "app/style/theme.h"

namespace isotonus {

std::optional<std::filesystem::path> guide_folder() {
    const auto beside = from_qt(QCoreApplication::applicationDirPath());
    std::error_code problem;
    for (const char* there : {"../share/doc/isotonus/guide", "../packaging/guide", "../../packaging/guide"})
        if (std::filesystem::exists(beside / there / "the-first-ten-minutes.html", problem)) return beside / there;
    return std::nullopt;
}

GuideWindow::GuideWindow(const std::filesystem::path& folder, QWidget* parent) : QTextBrowser(parent) {
    setObjectName("guideWindow");
    setWindowFlag(Qt::Window);
    setWindowTitle(tr("Guide"));
    setAccessibleName(tr("Guide"));
    resize(860, 760);
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
    setSource(QUrl::fromLocalFile(QString::fromStdString((folder / "the-first-ten-minutes.html").string())));
}

}  // namespace isotonus
