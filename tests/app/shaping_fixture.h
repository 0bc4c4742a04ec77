// The real window at Shape, with the second of three rows chosen.
#pragma once

#include <QMenu>

#include "app/shape/shape.h"
#include "tests/app/window_fixture.h"

namespace isotonus::test {

class ShapingWindow : public Window {
  protected:
    void begin() {
        import_all();
        station(3);
        work().document.select_only(track(2).id);
        catch_up();
    }
    void shaped() {
        wait_for([&] { return !work().materials.busy(); });
        settle();
    }
    /// Opens a button's menu by a click and takes the entry of this name, in a menu inside it if need be.
    void take_entry(const char* button, const char* entry) {
        in_opened<QMenu>([&] { QTest::mouseClick(find<QPushButton>(button), Qt::LeftButton); },
                         [&](QMenu& menu) {
                             auto menus = menu.findChildren<QMenu*>();
                             menus << &menu;
                             QAction* found = nullptr;
                             for (QMenu* m : menus)
                                 for (QAction* a : m->actions())
                                     if (a->objectName() == entry || a->text() == entry) found = a;
                             EXPECT_TRUE(found && found->isEnabled()) << entry;
                             menu.close();
                             if (found) found->trigger();
                         });
        catch_up();
    }
};

}  // namespace isotonus::test
