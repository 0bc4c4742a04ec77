// Any text as a target sheet: an error or a sheet, never a crash.
#include <unistd.h>

#include <fstream>

#include "core/session/target_sheet.h"

extern "C" int LLVMFuzzerTestOneInput(const uint8_t* data, size_t size) {
    static const std::string file = "/tmp/isotonus-fuzz-" + std::to_string(getpid()) + ".json";
    std::ofstream(file, std::ios::binary)
        .write(reinterpret_cast<const char*>(data), static_cast<std::streamsize>(size));
    (void)isotonus::read_sheet(file);
    std::filesystem::remove(file);
    return 0;
}
