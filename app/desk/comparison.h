// Prints and references beside the mix: loaded in the background, matched in loudness.
#pragma once

#include <QObject>
#include <QThreadPool>
#include <map>

#include "app/desk/mix_watch.h"
#include "core/compare/third_octaves.h"

namespace isotonus {

class Comparison : public QObject {
    Q_OBJECT
  public:
    Comparison(Document& document, Player& player, MixWatch& mix, QObject* parent = nullptr);
    ~Comparison() override;

    const std::vector<Recording>& recordings() const { return document_.session().recordings; }
    /// What is known of a recording: figures once it is read, or why it cannot be.
    struct Known {
        MaterialPtr material;
        QString trouble;
        std::optional<ThirdOctaves> spectrum;
    };
    const Known* known(size_t n) const;
    /// dB that bring a recording to the mix's integrated loudness; turned up only as far as it does not clip.  Absent
    /// while one of the two is not known.
    std::optional<double> match_db(size_t n) const;

    /// By third octaves; absent while it is found out.
    const std::optional<ThirdOctaves>& mix_spectrum() const { return mix_spectrum_; }
    /// The mix beside these recordings, as far as they are known.
    std::vector<BandDifference> differences(const std::vector<size_t>& from) const;

    /// Hears a recording in the mix's place; none: the mix.
    void hear(std::optional<size_t> n);
    std::optional<size_t> heard() const;
    /// The one key: the mix, and back to the recording that was heard last.
    void toggle();
    void next();

    void add_reference(const fs::path& file);
    void add_print(const fs::path& file, const Measurement& measured, const QString& made, const QString& note);
    void set_note(size_t n, const QString& note);
    void remove(size_t n);
    /// Recordings are read only while somebody compares.
    void want(bool wanted);

  signals:
    void changed();

  private:
    void follow();
    void send();
    /// The mix's spectrum follows its figures.
    void look_at_mix();
    Document& document_;
    Player& player_;
    MixWatch& mix_;
    QThreadPool pool_;
    std::shared_ptr<Progress> progress_ = std::make_shared<Progress>();
    std::map<std::pair<fs::path, int>, Known> known_;
    std::vector<size_t> places_;  ///< of the recordings that the player has
    std::optional<size_t> last_, wanted_recording_;
    Level mix_lufs_;  ///< as it was last known
    std::optional<ThirdOctaves> mix_spectrum_;
    PlanPtr spectrum_of_;  ///< the mix that it is of, or is being found out of
    std::shared_ptr<Progress> looking_;
    bool wanted_ = false;
};

}  // namespace isotonus
