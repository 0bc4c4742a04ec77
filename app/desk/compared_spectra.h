// Spectra of the mix and of what it is compared with, by third octaves.
#pragma once

#include <QObject>
#include <QTimer>
#include <map>

#include "app/desk/background.h"
#include "app/desk/mix_watch.h"
#include "core/compare/third_octaves.h"

namespace isotonus {

class Comparison;

class ComparedSpectra : public QObject {
    Q_OBJECT
  public:
    ComparedSpectra(const Comparison& comparison, Player& player, MixWatch& watch);

    /// Of what they are: all of it; the passages that stand against each other where the song is (the tied ones, else
    /// the section or loop there); the last second, as it plays.
    enum class Scope { whole, passage, live };
    Scope scope() const { return scope_; }
    void set_scope(Scope scope);
    /// Absent while it is found out.
    const std::optional<ThirdOctaves>& mix() const { return scope_ == Scope::whole ? whole_mix_ : scoped_mix_; }
    /// Of a recording; null likewise.
    const ThirdOctaves* of(size_t n) const;
    /// The mix beside these recordings, as far as they are known.
    std::vector<BandDifference> differences(const std::vector<size_t>& from) const;

    void want(bool wanted) { wanted_ = wanted; }
    /// The mix's spectrum follows its figures.
    void follow_mix();

  signals:
    void changed();

  private:
    /// Spectra of a passage or of the last second follow the place in the song.
    void look_at_scope();

    const Comparison& comparison_;
    Player& player_;
    MixWatch& watch_;
    bool wanted_ = false;
    std::optional<ThirdOctaves> whole_mix_;
    Level whole_lufs_;  ///< the loudness of that mix, which a moment after an edit is the one before
    PlanPtr whole_of_;  ///< the mix that it is of, or is being found out of
    std::shared_ptr<Progress> looking_ = std::make_shared<Progress>();
    Scope scope_ = Scope::whole;
    std::optional<ThirdOctaves> scoped_mix_;
    std::map<fs::path, ThirdOctaves> scoped_;
    /// What they were asked of: the mix, a time of it and its passage; and whether an answer is on its way.
    std::tuple<PlanPtr, double, double> scoped_of_{};
    bool scoping_ = false;
    QTimer timer_;
    Background jobs_;
};

}  // namespace isotonus
