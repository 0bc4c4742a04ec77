// Command lines of the version before are understood, and those of today are left alone.
#include "cli/spelling.h"

#include <gtest/gtest.h>

#include <sstream>

namespace {

std::string of_today(const std::string& line) {
    std::istringstream in(line);
    std::vector<std::string> words;
    for (std::string word; in >> word;) words.push_back(word);
    std::string all;
    for (const std::string& word : isotonus::cli::with_new_spelling(words)) all += (all.empty() ? "" : " ") + word;
    return all;
}

}  // namespace

TEST(Spelling, of_the_version_before_is_understood) {
    const std::pair<const char*, const char*> lines[] = {
        {"row S rename Kick Drum", "track S rename Kick Drum"},
        {"advise S trouble Kick --take", "suggest S resonance Kick --apply"},
        {"advise S reduction Kick most=6", "suggest S reduction Kick max=6"},
        {"tempo S --take", "tempo S --apply"},
        {"align S Room Close --take", "align S Room Close --apply"},
        {"reference S take-back --row Kick", "reference S restore --channel Kick"},
        {"set S Pad low_centre=120", "set S Pad mono_below=120"},
        {"shape S Bass 1 compressor key=Kick", "shape S Bass 1 compressor sidechain=Kick"},
        {"ride S Kick level --out", "ride S Kick level --bypass"},
        {"ride S Kick level --in", "ride S Kick level --on"},
        {"deliver S D --shares --before-main", "deliver S D --returns-in-stems --stems-before-main"},
        {"render S out.wav --main-chain out", "render S out.wav --main-chain bypassed"},
        {"render S out.wav --main-chain in", "render S out.wav --main-chain on"},
        {"note S add --at 12 --text loud --heard-on car", "note S add at=12 text=loud system=car"},
        {"note S add --at=12", "note S add at=12"},
        {"note S done 2", "note S set 2 done=on"},
        {"note S undone 2", "note S set 2 done=off"},
        {"section S add Verse --at 8", "section S add Verse at=8"},
        {"section S rename 1 Bridge", "section S set 1 name=Bridge"},
        {"send S Kick Hall -12", "send S add Kick Hall level=-12"},
        {"send S Kick Hall -12 --pre --out --pan L20", "send S add Kick Hall level=-12 tap=pre bypass=on pan=L20"},
        {"send S Kick Hall none", "send S remove Kick Hall"},
    };
    for (const auto& [before, now] : lines) {
        EXPECT_EQ(of_today(before), now);
        EXPECT_EQ(of_today(now), now) << "what is said as today changes";
    }
}

TEST(Spelling, of_one_verb_is_left_alone_in_another) {
    for (const char* line :
         {"", "--help", "check S --take", "set S Kick most=3", "track S add --at 12", "note S", "section S rename",
          "send S Kick Hall", "ride S Kick level --out-of-reach", "set S row pan=0", "deliver S row"})
        EXPECT_EQ(of_today(line), line);
}
