// Rows that are microphones of one source: found in the background once files are read, and what is wrong between them
// told as findings of their rows.
#pragma once

#include "app/desk/background.h"
#include "app/desk/materials.h"
#include "core/stage/alignment.h"

namespace isotonus {

class Microphones : public QObject {
    Q_OBJECT
  public:
    Microphones(Document& document, Materials& materials, QObject* parent = nullptr);

    /// Puts a row right against the first of its set, as one undo step; nothing when it is.
    void align(TrackId id);
    bool looking() const { return looking_ != nullptr; }
    /// Tracks that were found to be microphones of one source, by sets.
    std::vector<std::vector<TrackId>> sets() const;

  signals:
    void sets_found();

  private:
    /// Of one row against the first of its set.
    struct Against {
        TrackId reference = 0;
        Alignment how;
    };
    using Found = std::map<TrackId, Against>;
    /// What the answer depends on.
    struct Asked {
        int sample_rate = 0;
        std::vector<MaterialPtr> materials;
        std::vector<Standing> standing;
        std::vector<std::string> names;
        std::vector<std::optional<Family>> families;
        bool operator==(const Asked&) const = default;
    };

    void follow_session();
    void look();
    void take(Found found);

    Document& document_;
    Materials& materials_;
    Asked asked_;
    std::shared_ptr<const Session> seen_;
    std::shared_ptr<Progress> looking_;
    Found found_;
    Background jobs_;
};

}  // namespace isotonus
