// What all channels have in common is read and changed in one way, and each kind lacks what it should.
#include "core/session/channel.h"

#include "core/session/routing.h"
#include "core/session/session_file.h"
#include "tests/support/sounds.h"

using namespace isotonus;
using namespace isotonus::test;

namespace {

struct AllKinds {
    Session session = with_files({}, {"/kick.wav", "/bass.wav"});
    TrackId track = session.tracks[0]->id, bus = 0, group = 0;
    AllKinds() {
        session = with_new_bus(session, "Boats", std::nullopt, {track}, &bus);
        session = with_new_group(session, "Lanterns", std::nullopt, {track});
        group = session.groups[0].id;
    }
};

}  // namespace

TEST(Channels, of_every_kind_have_what_that_kind_has) {
    const AllKinds c;
    const Channel track = channel_of(c.session, c.track), bus = channel_of(c.session, c.bus),
                  group = channel_of(c.session, c.group), main = channel_of(c.session, main_output);
    EXPECT_EQ(*track.name, "kick");
    EXPECT_EQ(*bus.name, "Boats");
    EXPECT_EQ(*group.name, "Lanterns");
    EXPECT_EQ(*main.name, "main");
    EXPECT_EQ(track.kind, RowKind::track);
    EXPECT_EQ(bus.kind, RowKind::bus);
    EXPECT_EQ(group.kind, RowKind::group);
    EXPECT_EQ(main.kind, RowKind::main);
    for (const Channel* all : {&track, &bus, &group, &main}) EXPECT_TRUE(all->fader_db && all->rides);
    for (const Channel* named : {&track, &bus, &group}) EXPECT_TRUE(named->colour_index && named->mute && named->solo);
    for (const Channel* sums : {&track, &bus}) EXPECT_TRUE(sums->trim_db && sums->pan && sums->output && sums->sends);
    for (const Channel* chained : {&track, &bus, &main}) EXPECT_TRUE(chained->chain && chained->chain_out);
    EXPECT_TRUE(track.left_pan && !bus.left_pan);
    EXPECT_FALSE(group.chain || group.output || group.trim_db || main.output || main.mute || main.colour_index);
    // They are the session's own values, not copies.
    EXPECT_EQ(track.fader_db, &c.session.tracks[0]->fader_db);
    EXPECT_EQ(bus.chain, &c.session.buses[0].chain);
    EXPECT_EQ(group.rides, &c.session.groups[0].rides);
    EXPECT_EQ(main.fader_db, &c.session.main_fader_db);
    EXPECT_FALSE(channel_of(c.session, 999));
}

TEST(Channels, are_changed_in_one_copy_and_nowhere_else) {
    const AllKinds c;
    const auto told = [](const Session& s) { return session_to_json(s, "/"); };
    const std::string before = told(c.session);
    for (const TrackId id : {c.track, c.bus, c.group, main_output}) {
        const Session next = with_channel(c.session, id, [](const ChannelEdit& e) { *e.fader_db = -7.25; });
        EXPECT_EQ(told(c.session), before) << "the old one stays for undo";
        for (const TrackId other : {c.track, c.session.tracks[1]->id, c.bus, c.group, main_output})
            EXPECT_EQ(*channel_of(next, other).fader_db, other == id ? -7.25 : *channel_of(c.session, other).fader_db);
        EXPECT_EQ(told(with_channel(next, id,
                                    [&](const ChannelEdit& e) { *e.fader_db = *channel_of(c.session, id).fader_db; })),
                  before)
            << "nothing else was touched";
    }
    EXPECT_EQ(told(with_channel(c.session, 999, [](const ChannelEdit& e) { *e.fader_db = 1.0; })), before);
}
