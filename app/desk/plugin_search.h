// Looks for the plug-ins that a session names, in the background: they are wanted when they are to be heard.
#pragma once

#include <QObject>
#include <memory>
#include <set>
#include <string>

#include "app/desk/background.h"
#include "app/desk/document.h"
#include "core/parallel.h"

namespace isotonus {

class PluginSearch : public QObject {
    Q_OBJECT
  public:
    explicit PluginSearch(Document& document);

    bool is_looking() const { return progress_ != nullptr; }
    /// By the user's wish: all plug-ins of the machine are looked at.
    void look_at_all();

  signals:
    void found();

  private:
    void follow_session();
    void look(bool at_all);

    Document& document_;
    std::set<std::string> asked_;  ///< types that were looked for already
    std::shared_ptr<Progress> progress_;
    Background jobs_;
};

}  // namespace isotonus
