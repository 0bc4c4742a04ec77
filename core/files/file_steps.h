// core/files: everything that touches a disk.  Files are read within limits, written beside their name and given it
// when they are whole; what a session needs is never written over.
//
// Here: the single steps of reading and writing.  They go through one place so that tests can make any of them fail.
#pragma once

#include <cstdint>
#include <filesystem>
#include <functional>

namespace isotonus {

namespace fs = std::filesystem;

enum class FileStep { create, open, read, write, sync, close, rename };

/// Asked before each step with the path that it works on; returns an errno to fail with, or 0.  Called from any thread.
using FileFault = std::function<int(FileStep, const fs::path&)>;

/// For tests: while one is set, steps fail as it says.  An empty function takes it away.
void set_file_fault(FileFault fault);

/// What a test wants to happen at this step: an errno, or 0.
int file_fault(FileStep step, const fs::path& path);

}  // namespace isotonus
