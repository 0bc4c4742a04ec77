// Deliveries in one line, for tests.
#pragma once

#include "core/handoff/delivery.h"
#include "tests/support/sounds.h"

namespace isotonus::test {

/// The mix of a plan as one file, written over whatever is there.
inline Delivery mix_into(const fs::path& file, SampleFormat format = SampleFormat::s24) {
    Delivery d;
    d.folder = file.parent_path();
    d.mix_file = file;
    d.format = format;
    d.overwrite = true;
    return d;
}

inline Result<DeliveredFile> export_mix(const PlanPtr& plan, const Delivery& d, const Session& session = {},
                                        Progress* progress = nullptr) {
    auto report = deliver(plan, session, d, progress);
    if (!report) return tl::unexpected(report.error());
    return report->files.front();
}

}  // namespace isotonus::test
