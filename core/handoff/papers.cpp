#include "core/handoff/papers.h"

namespace isotonus {

std::vector<fs::path> paper_files(const Delivery& d) {
    return {d.folder / (d.session_name + " sheet.json"), d.folder / (d.session_name + " sheet.txt"),
            d.folder / (d.session_name + " checksums.sha256")};
}

std::vector<Paper> papers_of(const Delivery& d, const nlohmann::json& sheet, const DeliveryReport& report) {
    const auto files = paper_files(d);
    return {{files[0], sheet.dump(1, ' ', false, nlohmann::json::error_handler_t::replace) + "\n"},
            {files[1], sheet_to_text(sheet)},
            {files[2], checksums_of(report)}};
}

}  // namespace isotonus
