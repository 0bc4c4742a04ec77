// Every action of the window has a task, and a verb of the command line or a reason for having none; the page of keys;
// collecting into a folder.
#include "app/window/commands.h"

#include <QLineEdit>
#include <set>

#include "app/window/keys_dialog.h"
#include "core/session/session_file.h"
#include "tests/app/window_fixture.h"

using namespace isotonus;
using namespace isotonus::test;

TEST_F(Window, every_action_has_a_verb_or_a_reason) {
    std::set<std::string> verbs;
    std::istringstream lines(output_of(std::string("'") + ISOTONUS_CLI + "' completion --verbs"));
    for (std::string line; std::getline(lines, line);) verbs.insert(line.substr(0, line.find(' ')));
    ASSERT_GT(verbs.size(), 20u);
    std::set<QString> told;
    for (const Command& c : commands()) {
        EXPECT_TRUE(told.insert(c.action).second) << c.action << " stands there twice";
        EXPECT_NE(c.verb[0] == '\0', c.reason[0] == '\0') << c.action << ": a verb, or a reason";
        EXPECT_TRUE(c.verb[0] == '\0' || verbs.contains(c.verb)) << c.action << ": " << c.verb;
    }
    std::set<QString> there;
    for (const QAction* a : window->actions()) {
        there.insert(a->objectName());
        EXPECT_TRUE(told.contains(a->objectName())) << a->objectName().toStdString();
    }
    for (const QString& name : told) EXPECT_TRUE(there.contains(name)) << name.toStdString() << " is no action";
}

TEST_F(Window, keys_are_on_one_page_by_task_and_searched) {
    QString all, found, none;
    in_opened<KeysDialog>([&] { key(Qt::Key_F1); },
                          [&](KeysDialog& opened) {
                              const auto text = [&] {
                                  QString words;
                                  for (int n = 1; n <= 3; ++n)
                                      words += opened.findChild<QLabel*>(QString("keysColumn%1").arg(n))->text();
                                  return words;
                              };
                              all = text();
                              QTest::keyClicks(opened.findChild<QLineEdit*>("keysSearch"), "loop");
                              found = text();
                              QTest::keyClicks(opened.findChild<QLineEdit*>("keysSearch"), "xyz");
                              none = text();
                              opened.close();
                          });
    for (const char* word : {"Balance", "Monitoring", "Save", "Shift+Q", "Ctrl+Alt+S"})
        EXPECT_TRUE(all.contains(word)) << word;
    EXPECT_TRUE(found.contains("Loop the most dynamic passage"));
    EXPECT_FALSE(found.contains("Shift+Q"));
    EXPECT_TRUE(none.contains("No action matches"));
}

TEST_F(Window, a_session_is_collected_into_a_folder) {
    import_all();
    answers.folder = folder / "all";
    find<QAction>("pack")->trigger();
    const std::string name = work().document.name().toStdString() + ".isotonus";
    wait_for([&] { return is_there(folder / "all" / name) || !answers.complaints.empty(); });
    ASSERT_TRUE(answers.complaints.empty()) << answers.complaints.front().toStdString();
    catch_up();
    const Session back = read_session(folder / "all" / name).value();
    ASSERT_EQ(back.tracks.size(), session().tracks.size());
    for (const auto& t : back.tracks) EXPECT_EQ(t->source.file.parent_path(), folder / "all/audio");
    // Once more into the same: refused, and told.
    find<QAction>("pack")->trigger();
    wait_for([&] { return !answers.complaints.empty(); });
    EXPECT_TRUE(answers.complaints.back().contains("not empty"));
}
