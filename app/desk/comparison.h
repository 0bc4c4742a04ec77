// Prints and references beside the mix: loaded in the background, matched in loudness.
#pragma once

#include <QDateTime>
#include <QObject>
#include <QTimer>
#include <array>
#include <map>

#include "app/desk/compared_spectra.h"
#include "app/desk/reference_shelf.h"
#include "core/compare/match.h"
#include "core/compare/third_octaves.h"
#include "core/session/session_file.h"

namespace isotonus {

class Comparison : public QObject {
    Q_OBJECT
  public:
    Comparison(Document& document, Player& player, MixWatch& mix, QObject* parent = nullptr);

    ReferenceShelf shelf;
    ComparedSpectra spectra;

    const std::vector<Recording>& recordings() const { return document_.session().recordings; }
    /// What is known of a recording: figures once it is read, or why it cannot be.
    struct Known {
        MaterialPtr material;
        QString trouble;
        std::optional<ThirdOctaves> spectrum;
        std::vector<float> true_peaks;  ///< of every 100 ms
    };
    const Known* known(size_t n) const;
    MatchBy match_by() const { return match_by_; }
    void set_match_by(MatchBy by);
    /// dB that bring a recording to the mix's loudness, where the song is.  Absent while one of the two is not known.
    std::optional<double> match_db(size_t n) const;
    /// What the mix and all recordings are lowered by for the ear, dB, so that none of them is turned up beyond 0 dBTP.
    double lower_db() const { return lower_db_; }

    /// The passage of the song that a scope of passages means now.
    std::pair<double, double> passage_s() const;
    /// K-weighted power of the mix every 100 ms, as it was last known.
    const std::vector<double>& mix_hops() const { return mix_hops_; }
    /// Hears a recording in the mix's place; none: the mix.
    void hear(std::optional<size_t> n);
    std::optional<size_t> heard() const;
    /// The one key: the mix, and back to the recording that was heard last.  `from_start`: from where the passage
    /// begins that is tied there, or the section.
    void toggle(bool from_start = false);
    void next();
    /// A reference was heard within these seconds.
    bool reference_heard_within(qint64 seconds) const;

    /// A blind comparison between the mix and these: no view says which one is heard.  False when one of them is not
    /// known yet.
    bool begin_blind(const std::vector<size_t>& among);
    void end_blind();
    bool blind() const { return blind_; }

    void add_reference(const fs::path& file);
    /// With the session that it is of, which is written beside it.
    void add_print(const fs::path& file, const Measurement& measured, const QString& made, const QString& note,
                   const Session& session);
    void set_note(size_t n, const QString& note);
    void remove(size_t n);
    /// A change of one recording as one step.
    void change(size_t n, const QString& name, const std::function<void(Recording&)>& edit);
    /// The session as it was at a print, or why it cannot be had.
    Result<Session> session_then(size_t n) const;

    /// A reference of the shelf into the session.
    void take_from_shelf(size_t n);
    /// Recordings are read only while somebody compares: while they are shown, or after one was asked for by key.
    void show(bool shown);
    /// Back to the mix as it is; nothing is lowered any more unless recordings are shown.
    void rest();

  signals:
    void changed();
    void trouble(const QString& sentence);

  private:
    void follow();
    void want(bool wanted);
    /// `moved`: only the place in the song is another.
    void send(bool moved = false);
    std::optional<Match> match(size_t n) const;
    /// Reads and measures a recording, on whatever thread.
    static Result<Known> know(const fs::path& file, int rate, Progress& progress);
    /// What stands against this place of the song follows it.
    void follow_position();
    /// Of each recording where it starts, its match and the peak that it then has; the last two in steps of half a dB.
    std::vector<std::array<double, 3>> positions_now() const;
    Document& document_;
    Player& player_;
    MixWatch& mix_;
    std::map<std::pair<fs::path, int>, Known> known_;
    std::vector<size_t> loaded_;  ///< of the recordings that the player has
    std::optional<size_t> last_, wanted_recording_;
    Level mix_lufs_;                ///< as it was last known
    std::vector<double> mix_hops_;  ///< its K-weighted power every 100 ms, likewise
    MatchBy match_by_ = MatchBy::whole;
    double lower_db_ = 0.0;
    std::vector<std::array<double, 3>> sent_;  ///< positions_now() as the player has them
    std::map<fs::path, QDateTime> heard_at_;   ///< references
    bool blind_ = false;
    std::vector<Recording> blind_among_;
    bool wanted_ = false, shown_ = false;
    Background jobs_;
};

}  // namespace isotonus
