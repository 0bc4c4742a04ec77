#include "core/session/prints.h"

#include <nlohmann/json.hpp>

#include "core/session/session_file.h"

namespace isotonus {

namespace {

constexpr const char* print_mark = "kept_for_print";

bool is_of_print(const fs::path& file) {
    const auto session = read_session(file);
    return session && session->unknown && session->unknown->contains(print_mark);
}

}  // namespace

Result<fs::path> keep_session_of_print(const Session& session, const fs::path& print,
                                       const std::optional<fs::path>& worked_in) {
    fs::path then = print;
    then += ".isotonus";
    if (is_there(then) && (!is_of_print(then) || worked_in == then)) return fs::path();
    Session kept = session;
    kept.recordings = {};
    kept.notes = {};
    kept.blind_results = {};
    kept.unknown = std::make_shared<const nlohmann::json>(nlohmann::json{{print_mark, print.filename().string()}});
    if (auto written = write_session(kept, then); !written) return tl::unexpected(written.error());
    return then;
}

Session with_print(const Session& session, const fs::path& file, const fs::path& session_then,
                   const Measurement& measured, const std::string& made, const std::string& note) {
    Recording r;
    r.name = file.stem().string();
    r.file = file;
    r.session = session_then;
    r.made = made;
    r.note = note;
    r.integrated_lufs = measured.integrated_lufs;
    r.sample_peak_dbfs = measured.sample_peak_dbfs;
    r.true_peak_dbtp = measured.true_peak_dbtp;
    Session next = session;
    auto& all = next.recordings.change();
    std::erase_if(all, [&](const Recording& x) { return x.file == file; });
    all.push_back(std::move(r));
    return next;
}

Result<void> keep_print(const fs::path& session_file, const Session& exported, const fs::path& file,
                        const Measurement& measured, const std::string& made) {
    const fs::path print = absolute_path(file);
    const auto then = keep_session_of_print(exported, print, session_file);
    if (!then) return tl::unexpected(then.error());
    return change_session(session_file, [&](Session& session) -> Result<void> {
        session = with_print(session, print, *then, measured, made, {});
        return {};
    });
}

}  // namespace isotonus
