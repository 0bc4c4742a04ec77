// Explanations of controls, with their terms as links to the glossary of the guide.
#pragma once

#include <QObject>
#include <QStringList>
#include <filesystem>

namespace isotonus {

/// The terms that the guide's glossary explains, in the language of the window; none where the guide is not there.
QStringList glossary_terms(const std::filesystem::path& guide);

/// The text as HTML in which the first mention of each term is a link whose address is the term.
QString with_terms_linked(const QString& text, const QStringList& terms);

/// In the mode of Qt's "What's this?", a click on any control of the program shows the control's tooltip with its terms
/// linked.  Without it nothing changes.
class Explainer : public QObject {
    Q_OBJECT
  public:
    Explainer(QStringList terms, QObject* parent);
    bool eventFilter(QObject* object, QEvent* event) override;

  signals:
    void glossary_wanted(const QString& term);

  private:
    QStringList terms_;
};

}  // namespace isotonus
