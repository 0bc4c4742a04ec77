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
      first(document, materials, player, mix),
      exports(comparison),
      view(document),
      edits(*this),
      audition(*this),
      faders(*this) {
    mix.set_levels(
        [this] {
            return StartingLevels{[this](const Track& t) { return materials.family(t); }, 0.0, microphones.sets()};
        },
        [this] { return microphones.looking(); });
    connect(&microphones, &Microphones::sets_found, &mix, &MixWatch::find_levels_again);
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

bool Workspace::sounds_in_loop(const Track& track) const {
    constexpr float quietest = 1e-3f;
    const Player::Loop& loop = player.loop();
    const MaterialPtr m = materials.of(track);
    if (!loop.on || !m || m->summary.blocks() == 0) return true;
    const LevelSummary& s = m->summary;
    const auto block_at = [&](double time_s) {
        const int64_t frame = document.frame_at(time_s - document.shift_s(track));
        return std::clamp<int64_t>(frame / LevelSummary::block_frames, 0, s.blocks() - 1);
    };
    const int64_t first = block_at(loop.from_s) * s.channels, last = (block_at(loop.to_s) + 1) * s.channels;
    for (int64_t n = first; n < last; ++n)
        if (std::max(s.high[static_cast<size_t>(n)], -s.low[static_cast<size_t>(n)]) > quietest) return true;
    return false;
}

/// Only what is looked at is computed.
void Workspace::follow_balance_page() {
    using Page = BalanceView::Page;
    mix.want_plan(view.balance.page == Page::headroom);
    mix.want_levels(view.balance.page == Page::build_up);
    if (view.balance.page == Page::cover) mix.want_audibility(true);
    mix.want_figures(view.balance.page == Page::mono);
}

}  // namespace isotonus
