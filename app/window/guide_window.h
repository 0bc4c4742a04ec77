// The user guide, read inside the program: it needs neither a network nor a browser.
#pragma once

#include <QTextBrowser>
#include <filesystem>
#include <optional>

namespace isotonus {

/// Where the guide's pages in the language of the window lie: beside the program that was installed, or in the build
/// tree. Absent: the guide was not made.
std::optional<std::filesystem::path> guide_folder();

class GuideWindow : public QTextBrowser {
    Q_OBJECT
  public:
    GuideWindow(const std::filesystem::path& folder, QWidget* parent);
    /// A page by its name, "glossary", and a term on it.
    void show_page(const QString& page, const QString& term = {});

  private:
    std::filesystem::path folder_;
};

}  // namespace isotonus
