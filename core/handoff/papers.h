// What goes with a delivery's audio: the sheet as text and data, and the checksums.
#pragma once

#include "core/handoff/delivery.h"
#include "core/handoff/sheet.h"

namespace isotonus {

/// The files that papers_of writes: "NAME sheet.json", "NAME sheet.txt", "NAME checksums.sha256".
std::vector<fs::path> paper_files(const Delivery& delivery);

std::vector<Paper> papers_of(const Delivery& delivery, const nlohmann::json& sheet, const DeliveryReport& report);

}  // namespace isotonus
