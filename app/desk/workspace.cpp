#include "app/desk/workspace.h"

#include <algorithm>

namespace isotonus {

Workspace::Workspace()
    : plugins(document),
      materials(document),
      microphones(document, materials),
      player(document, materials, bypasses),
      mix(document, player),
      writing(document, player),
      comparison(document, player, mix),
      exports(comparison),
      view(document),
      edits(*this),
      audition(*this),
      faders(*this) {
    connect(&faders, &FaderLink::message, &view, &ViewState::hint);
    connect(&view.balance, &BalanceView::page_changed, this, &Workspace::follow_balance_page);
    const auto song_changed = [this] { view.time.set_song(song_s()); };
    connect(&player, &Player::plan_changed, this, song_changed);
    connect(&materials, &Materials::changed, this, song_changed);
}

void Workspace::hear_the_mix() {
    MonitorSettings m = player.monitor();
    m.dim = m.quiet = false;
    m.sides = Sides::stereo;
    m.playback = Playback::none;
    m.cross_feed = CrossFeed::off;
    player.set_monitor(m);
    player.listen_to({}, Player::Listen::before_fader);
    player.hear_at_rest(false);
    comparison.rest();
}

double Workspace::song_s() const {
    double longest_s = 0.0;
    for (const auto& track : document.session().tracks)
        if (const Measurement* m = materials.measured(*track))
            longest_s = std::max(longest_s, m->duration_s() + track->delay_samples / m->sample_rate);
    return longest_s;
}

/// Only what is looked at is computed.
void Workspace::follow_balance_page() {
    using Page = BalanceView::Page;
    mix.want_plan(view.balance.page == Page::headroom);
    if (view.balance.page == Page::cover) mix.want_audibility(true);
    mix.want_figures(view.balance.page == Page::mono);
}

}  // namespace isotonus
