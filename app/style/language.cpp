#include "app/style/language.h"

#include <QCoreApplication>
#include <QDir>
#include <QLibraryInfo>
#include <QLocale>
#include <QTranslator>
#include <memory>

#include "core/words.h"

namespace isotonus {

namespace {

class English : public QTranslator {
  public:
    bool isEmpty() const override { return false; }
    QString translate(const char*, const char* text, const char*, int n) const override {
        if (n < 0) return {};
        return QString(text).replace("(s)", n == 1 ? "" : "s");
    }
};

/// The core's texts are translated like the interface's.
std::string put_into_language(const char* english) {
    return QCoreApplication::translate("isotonus", english).toStdString();
}

}  // namespace

std::vector<std::pair<QString, QString>> languages() {
    std::vector<std::pair<QString, QString>> all{{"en", "English"}};
    for (const QString& file : QDir(":/translations").entryList({"isotonus_*.qm"}, QDir::Files)) {
        const QString code = file.section('_', 1).section('.', 0, 0);
        QString name = QLocale(code).nativeLanguageName();
        if (!name.isEmpty()) name[0] = name[0].toUpper();
        all.emplace_back(code, name);
    }
    return all;
}

namespace {
QString now_spoken = "en";
}

QString spoken() { return now_spoken; }

void speak(const QString& wanted) {
    // Whoever is installed last is asked first.
    static std::vector<std::unique_ptr<QTranslator>> installed;
    for (const auto& translator : installed) QCoreApplication::removeTranslator(translator.get());
    installed.clear();
    const auto install = [](std::unique_ptr<QTranslator> translator) {
        QCoreApplication::installTranslator(translator.get());
        installed.push_back(std::move(translator));
    };
    install(std::make_unique<English>());
    set_translation(nullptr);
    now_spoken = "en";
    const QString language = wanted.isEmpty() ? QLocale::system().name().section('_', 0, 0) : wanted;
    auto texts = std::make_unique<QTranslator>();
    if (language == "en" || !texts->load(":/translations/isotonus_" + language + ".qm")) return;
    auto of_qt = std::make_unique<QTranslator>();
    if (of_qt->load("qtbase_" + language, QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
        install(std::move(of_qt));
    install(std::move(texts));
    set_translation(put_into_language, QLocale(language).decimalPoint() == "," ? ',' : '.');
    now_spoken = language;
}

}  // namespace isotonus
