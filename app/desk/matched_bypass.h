// Bypassed chains are heard at the loudness that they had: by how much each channel is turned, found behind the work.
#pragma once

#include <QObject>

#include "app/desk/background.h"
#include "app/desk/materials.h"
#include "core/mix/matched_bypass.h"

namespace isotonus {

class MatchedBypass : public QObject {
    Q_OBJECT
  public:
    MatchedBypass(Document& document, Materials& materials, QObject* parent = nullptr);

    /// The session as it is heard.  At once by the power that chains took or gave, exactly as soon as the loudness of
    /// both is known.
    Session heard(const Session& session) const;
    /// Nothing is being found out.
    bool settled() const { return !running_; }

  signals:
    void changed();

  private:
    /// A channel whose chain is bypassed.
    struct Match {
        std::string key;  ///< of what it plays with its chain in
        double db = 0.0;
        bool exact = false;
    };
    void follow();
    /// What channels play with these chains in.
    std::map<TrackId, SignalRecipe> recipes(const Session& with_chains) const;
    void find_out(std::map<TrackId, SignalRecipe> recipes);
    void find_rest();

    Document& document_;
    Materials& materials_;
    std::map<TrackId, Match> matches_;
    /// What is left over between all chains in and all chains out, each at its loudness, dB.
    double rest_db_ = 0.0;
    std::string rest_of_;  ///< the matches that it was found for
    bool running_ = false;
    Background jobs_;
};

}  // namespace isotonus
