// Every dialog and further window of the program, for tests that look at all of them.
#pragma once

#include "app/ride/fader_box_window.h"
#include "app/shape/plugin_dialog.h"
#include "app/songmap/tempo_window.h"
#include "app/stage/phase_dialog.h"
#include "app/stage/sheet_dialog.h"
#include "app/stage/stage_table.h"
#include "app/window/fader_window.h"
#include "app/window/guide_window.h"
#include "app/window/keys_dialog.h"
#include "app/window/settings_dialog.h"
#include "tests/app/window_fixture.h"

namespace isotonus::test {

/// Shows one after the other, made as the main window makes it, and lets `look` have it when it is the active window.
inline void with_each_dialog(MainWindow& window, const std::function<void(QWidget&)>& look) {
    Settings settings;
    Workspace& work = window.work();
    std::vector<TrackId> tracks;
    for (const auto& t : work.document.session().tracks) tracks.push_back(t->id);
    const std::function<std::unique_ptr<QWidget>()> makers[] = {
        [&] { return std::make_unique<SettingsDialog>(settings, work, &window); },
        [&] { return std::make_unique<SheetDialog>(work, &window); },
        [&] { return std::make_unique<StageTable>(work, &window); },
        [&] {
            auto phase = std::make_unique<PhaseDialog>(work, tracks, &window);
            const auto* table = phase->findChild<QTableWidget*>("phaseTable");
            EXPECT_TRUE(QTest::qWaitFor([&] { return !table->item(table->rowCount() - 1, 5)->text().isEmpty(); }))
                << "it has compared the tracks";
            return phase;
        },
        [&] { return std::make_unique<PluginDialog>(&window); },
        [&] { return std::make_unique<TempoWindow>(work, &window); },
        [&] { return std::make_unique<KeysDialog>(window.keys(), &window); },
        [&] { return std::make_unique<FaderBoxWindow>(work, &window); },
        [&] { return std::make_unique<FaderWindow>(work, &window); },
        [&] { return std::make_unique<GuideWindow>(guide_folder().value(), &window); },
    };
    for (const auto& make : makers) {
        const std::unique_ptr<QWidget> dialog = make();
        SCOPED_TRACE(dialog->metaObject()->className());
        dialog->show();
        dialog->activateWindow();
        ASSERT_TRUE(QTest::qWaitForWindowActive(dialog.get()));
        look(*dialog);
        dialog->hide();
    }
    window.activateWindow();
}

}  // namespace isotonus::test
