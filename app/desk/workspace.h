// What every view works with: the services, what is shown of them, and the edits that views share.
#pragma once

#include "app/desk/audition.h"
#include "app/desk/comparison.h"
#include "app/desk/editing.h"
#include "app/desk/export_queue.h"
#include "app/desk/fader_link.h"
#include "app/desk/first_balance.h"
#include "app/desk/listening_log.h"
#include "app/desk/microphones.h"
#include "app/desk/mix_watch.h"
#include "app/desk/plugin_search.h"
#include "app/desk/prompter.h"
#include "app/desk/sample_windows.h"
#include "app/desk/spectra.h"
#include "app/desk/view_state.h"

namespace isotonus {

class Workspace : public QObject {
    Q_OBJECT
  public:
    Workspace();

    Document document;
    PluginSearch plugins;
    Materials materials;
    Microphones microphones;
    MatchedBypass bypasses{document, materials};
    Player player;
    MixWatch mix;
    SampleWindows samples;
    Spectra spectra;
    Writing writing;
    Comparison comparison;
    FirstBalance first;
    ExportQueue exports;
    Prompter* prompter = nullptr;  ///< set by the window, or by a test

    ViewState view;
    Editing edits;
    Audition audition;
    FaderLink faders;
    ListeningLog listened{player};

    /// Takes away what stands between the mix and the ear; the level and the correction of the room stay.
    void hear_the_mix();
    /// Something of the track is above -60 dBFS in the loop that is on; true without one, and while it is not known.
    bool sounds_in_loop(const Track& track) const;

  private:
    /// As far as it is known while files are still being read.
    double song_s() const;
    void follow_balance_page();
};

}  // namespace isotonus
