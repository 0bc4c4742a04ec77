// A first balance that is proposed: found from a rough mix, or drafted from what can be heard.  It is computed behind
// the window, follows what it was made from, and changes nothing until it is applied.
#pragma once

#include <QObject>

#include "app/desk/background.h"
#include "app/desk/mix_watch.h"
#include "core/balance/first_draft.h"
#include "core/balance/rough_mix.h"

namespace isotonus {

class FirstBalance : public QObject {
    Q_OBJECT
  public:
    FirstBalance(Document& document, Materials& materials, Player& player, MixWatch& mix, QObject* parent = nullptr);

    void find_like(const fs::path& mix);
    void draft(DraftStrength strength, bool also_set);
    /// Proposes nothing any more, and stops what is being computed.
    void dismiss();

    bool busy() const { return progress_ != nullptr; }
    double progress() const { return progress_ ? progress_->fraction() : 0.0; }
    /// Why there is nothing; empty: there is, or nothing was asked for.
    const QString& trouble() const { return trouble_; }

    struct Row {
        TrackId id = 0;
        double fader_db = 0.0;
        std::optional<double> pan;
        bool kept = false;  ///< nothing is proposed for it
        bool inverted = false, sections = false;
        QString why;
    };
    const std::vector<Row>& rows() const { return rows_; }
    /// What the whole of it is, and what is to be known about it; sentences.
    const QStringList& summary() const { return summary_; }

    void apply(TrackId only = 0);  ///< 0: all
    /// Levels that differ in some sections become rides.
    void apply_sections();
    bool any_sections() const;

    /// The session as far on the way to the proposal as the slider says, with all tracks or one.
    Session shown(TrackId only = 0) const;
    /// How far between the session as it stands and the proposal, 0 … 1; heard while it moves, and applied so.
    double share() const { return share_; }
    void set_share(double share);

    /// What is left over of the rough mix.
    bool has_difference() const { return like_.has_value(); }
    bool hears_difference() const { return hearing_difference_; }
    void hear_difference(bool on);
    /// What was heard of it alone ends: the mix is heard again.
    void hear_the_mix();

  signals:
    void changed();
    void hearing_changed();

  private:
    void ask();
    void begin();
    void take(const Result<RoughMixFit>& fit);
    void take(const Result<FirstDraft>& draft);
    void follow_session();
    Session proposed(const Session& session, TrackId only) const;
    /// What a proposal was made from: all but faders, pans and what else it sets.
    static std::string ground_of(const Session& session);

    Document& document_;
    Materials& materials_;
    Player& player_;
    MixWatch& mix_;
    struct Asked {
        fs::path mix;  ///< empty: a draft
        DraftStrength strength = DraftStrength::levels;
        bool also_set = false;
    };
    std::optional<Asked> asked_;
    bool waiting_ = false;  ///< for chains and files
    std::string ground_;
    std::shared_ptr<Progress> progress_;
    std::optional<RoughMixFit> like_;
    std::optional<FirstDraft> draft_;
    MaterialPtr mix_material_;
    QString trouble_;
    std::vector<Row> rows_;
    QStringList summary_;
    double share_ = 1.0;
    bool hearing_difference_ = false, hearing_share_ = false;
    QTimer heard_;  ///< the preview ends a while after the last move
    std::map<MaterialPtr, ExcitationPtr> excitations_;
    MixPeaks peaks_;  ///< the one thread of jobs_ has it
    Background jobs_;
};

}  // namespace isotonus
