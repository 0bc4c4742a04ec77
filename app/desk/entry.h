// The field that opens over a figure or a name to be typed.
#pragma once

#include <QLineEdit>
#include <QPointer>

namespace isotonus {

/// Enter and Tab take what was typed, and so does a click elsewhere; Escape leaves what was there.  None of these keys
/// reaches anybody else, and whoever had the keys before has them again.
class Entry : public QLineEdit {
    Q_OBJECT
  public:
    explicit Entry(QWidget* over);
    void open(const QRect& rect, const QString& text);

  signals:
    void taken(const QString& text);  ///< it differs from what was there, and says something
    void tabbed(bool forward);        ///< after that

  protected:
    bool event(QEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

  private:
    void close_with(bool take);

    QString before_;
    QPointer<QWidget> had_focus_;
};

}  // namespace isotonus
