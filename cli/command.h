// What the verbs of the command line share.
#pragma once

#include <fmt/format.h>

#include <functional>
#include <map>
#include <nlohmann/json.hpp>
#include <string_view>
#include <type_traits>
#include <vector>

#include "core/balance/build_up.h"
#include "core/handoff/checks.h"
#include "core/mix/row_signals.h"
#include "core/words.h"

namespace isotonus::cli {

/// Exit status of the program.
inline constexpr int done = 0, check_failed = 1, wrong_usage = 2, file_trouble = 3;

/// Says on standard error what is wrong, and returns the status to end with.
int complain(const Error& error, int status = file_trouble);
/// One JSON document on standard output.
void print(const nlohmann::json& document);

/// A value as it is printed for people: control characters in names are shown as what they are.
template <class Value>
decltype(auto) shown(const Value& value) {
    if constexpr (std::is_convertible_v<const Value&, std::string_view>)
        return printable(std::string_view(value));
    else
        return (value);
}
/// On standard output, as fmt::print does, with figures as they are everywhere.
template <class... Values>
void put(const std::string& format, const Values&... values) {
    fmt::print("{}", format_figures(format, shown(values)...));
}
/// "1 track", "2 tracks".
std::string counted(size_t count, const char* word);
/// A number and nothing else.
std::optional<double> seconds_in(const std::string& text);
/// A text of several lines.
void put_lines(std::string_view text);

std::string in_words(const Level& level, const char* unit);

/// The row of this name: a track, a bus, a control group, or main.
std::optional<TrackId> row_called(const Session& session, const std::string& name);
/// Those of these names, which must be tracks or buses.
Result<std::vector<TrackId>> rows_called(const Session& session, const std::vector<std::string>& names);
/// What to do about a name that the session does not have.
inline constexpr const char* see_show = "Use `isotonus-cli show SESSION` to list the names.";
/// Of a track's file, which was complained about when it was opened.
inline constexpr const char* unusable_file = "the file of the track cannot be used. Replace it, or export it again.";
Result<void> no_such_row(const fs::path& file, const std::string& name);
/// Changes a session while no other program can.  What the change itself finds wrong is a wrong usage.
int change(const fs::path& file, const std::function<Result<void>(Session&)>& change_it);

/// A session with everything known about its tracks' files.
struct Opened {
    Session session;
    std::map<std::string, MaterialPtr> materials;  ///< by source_key; none where the file cannot be used
    std::vector<MissingFile> missing;
    RowSignals signals;
    std::unique_ptr<StreamsAhead> streams = nullptr;  ///< computes the signals while one plan is rendered

    /// The file of a track, before its chain.
    MaterialPtr of(const Track& track) const;
    /// What it plays: the file, or what its chain makes of it.
    MaterialPtr played(const Track& track) const;
    MaterialOf plays() const;
    PlanPtr plan(Solo solo = Solo::left_out) const;
    MixPlans mix_plans(Solo solo = Solo::left_out) const;
    /// All that the plan needs; done for a mix without solo when it was opened.
    Result<void> make_signals(Solo solo);
    /// What the session asks for and a mix of it is without, a sentence each: files and processors.
    std::vector<std::string> left_out() const;
    /// Fails, and says on standard error what is missing, unless nothing is or the user lets it be so.
    Result<void> check_whole(const fs::path& about, bool without_missing) const;
};
/// What suggested levels and drafts need to know besides the session.
StartingLevels starting_levels_of(const Opened& opened);
/// Its files alone.
Result<Opened> open_files(const fs::path& file);
/// The same with the signals of all chains.
Result<Opened> open_with_materials(const fs::path& file);
/// What one channel's sound is made of, and nothing else.
Result<Opened> open_channel(const fs::path& file, const std::string& name);
/// The same for one plan that is rendered once, from its start to its end: no figures of what chains make are known.
Result<Opened> open_to_render(const fs::path& file, Solo solo);

}  // namespace isotonus::cli
