// Questions to the user, behind a seam that tests can answer.
#pragma once

#include <QStringList>
#include <QUrl>
#include <filesystem>
#include <functional>
#include <optional>
#include <vector>

class QWidget;

namespace isotonus {

namespace fs = std::filesystem;

class Prompter {
  public:
    enum class Answer { yes, no, cancel };
    virtual ~Prompter() = default;
    virtual std::optional<fs::path> open_file(const QString& title, const QString& filter) = 0;
    virtual std::vector<fs::path> open_files(const QString& title, const QString& filter) = 0;
    virtual std::optional<fs::path> choose_folder(const QString& title) = 0;
    virtual std::optional<fs::path> save_file(const QString& title, const QString& filter,
                                              const fs::path& suggested) = 0;
    /// `yes` and `no` are the words on the buttons.
    virtual Answer ask(const QString& title, const QString& text, const QString& yes, const QString& no) = 0;
    /// A line of text; none when the user cancels.
    virtual std::optional<QString> ask_text(const QString& title, const QString& label, const QString& initial) = 0;
    /// Several numbers at once, each in its range; none when the user cancels.
    struct Number {
        QString label;
        double value = 0.0, low = 0.0, high = 1.0;
        int decimals = 1;
        QStringList words = {};  ///< a choice: the value is its place among them
    };
    /// `changed`, when given, is called with all of them at the beginning and whenever one changes.
    using Changed = std::function<void(const std::vector<double>&)>;
    virtual std::optional<std::vector<double>> ask_numbers(const QString& title, const std::vector<Number>& numbers,
                                                           const Changed& changed = nullptr) = 0;
    /// One of a list: its place.
    virtual std::optional<size_t> ask_choice(const QString& title, const QString& label,
                                             const QStringList& choices) = 0;
    virtual void complain(const QString& text) = 0;
};

/// With real dialogs.
class DialogPrompter : public Prompter {
  public:
    explicit DialogPrompter(QWidget* parent) : parent_(parent) {}
    std::optional<fs::path> open_file(const QString& title, const QString& filter) override;
    std::vector<fs::path> open_files(const QString& title, const QString& filter) override;
    std::optional<fs::path> choose_folder(const QString& title) override;
    std::optional<fs::path> save_file(const QString& title, const QString& filter, const fs::path& suggested) override;
    Answer ask(const QString& title, const QString& text, const QString& yes, const QString& no) override;
    std::optional<QString> ask_text(const QString& title, const QString& label, const QString& initial) override;
    std::optional<std::vector<double>> ask_numbers(const QString& title, const std::vector<Number>& numbers,
                                                   const Changed& changed) override;
    std::optional<size_t> ask_choice(const QString& title, const QString& label, const QStringList& choices) override;
    void complain(const QString& text) override;

  private:
    QWidget* parent_;
};

inline QString to_qt(const fs::path& path) { return QString::fromStdString(path.string()); }
inline fs::path from_qt(const QString& path) { return fs::path(path.toStdString()); }
/// A local file, byte for byte: its name may be no UTF-8, which a QString cannot hold.
inline fs::path from_qt(const QUrl& url) {
    return fs::path(QByteArray::fromPercentEncoding(url.path(QUrl::FullyEncoded).toLatin1()).toStdString());
}

}  // namespace isotonus
