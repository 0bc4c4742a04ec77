#include "engine/stream.h"

#include <algorithm>
#include <chrono>

namespace isotonus {

Stream::Stream(PlanPtr plan) : plan_(std::move(plan)) {
    for (Slot& slot : slots_) {
        for (const PlanTrack& t : plan_->tracks)
            slot.samples.emplace_back(static_cast<size_t>(chunk_frames * t.channels));
        slot.present.assign(plan_->tracks.size(), 0);
    }
    thread_ = std::jthread([this](const std::stop_token& stop) { read_ahead(stop); });
}

Stream::~Stream() = default;

// The reader empties a slot (chunk = -1) before it writes into it and gives up if the audio thread is in that chunk;
// the audio thread says where it is before it looks.  With sequentially consistent order one of the two sees the other.
bool Stream::enter(int64_t frame, std::vector<const float*>& inputs) {
    const int64_t chunk = frame / chunk_frames;
    playing_chunk_.store(chunk);
    for (const Slot& slot : slots_) {
        if (slot.chunk.load() != chunk) continue;
        const int64_t offset = frame - chunk * chunk_frames;
        for (size_t i = 0; i < inputs.size(); ++i)
            inputs[i] = slot.present[i] ? slot.samples[i].data() + offset * plan_->tracks[i].channels : nullptr;
        return true;
    }
    return false;
}

bool Stream::has(int64_t frame) const {
    return std::any_of(slots_.begin(), slots_.end(),
                       [&](const Slot& s) { return s.chunk.load() == frame / chunk_frames; });
}

void Stream::set_loop(int64_t first, int64_t end) {
    loop_first_ = first;
    loop_end_ = end;
}

std::string Stream::trouble() const {
    std::scoped_lock lock(trouble_mutex_);
    return trouble_;
}

std::vector<int64_t> Stream::wanted_chunks() const {
    const int64_t last = (std::max<int64_t>(1, plan_->frames) - 1) / chunk_frames;
    const int64_t loop_first = loop_first_.load(), loop_end = loop_end_.load();
    std::vector<int64_t> chunks;
    int64_t chunk = playing_chunk_.load();
    while (chunks.size() < slot_count - 1 && chunk <= last) {
        if (std::find(chunks.begin(), chunks.end(), chunk) != chunks.end()) break;  // a short loop, all of it
        chunks.push_back(chunk);
        const bool wraps = loop_end > loop_first && chunk == (loop_end - 1) / chunk_frames;
        chunk = wraps ? loop_first / chunk_frames : chunk + 1;
    }
    return chunks;
}

void Stream::load(Slot& slot, int64_t chunk) {
    const int64_t first = chunk * chunk_frames;
    auto inputs = reader_->read(first, chunk_frames);
    if (!inputs) {
        std::scoped_lock lock(trouble_mutex_);
        trouble_ = inputs.error().text();
        std::fill(slot.present.begin(), slot.present.end(), char{0});
        return;
    }
    for (size_t i = 0; i < inputs->size(); ++i) {
        slot.present[i] = (*inputs)[i] != nullptr;
        if (slot.present[i]) std::copy_n((*inputs)[i], slot.samples[i].size(), slot.samples[i].data());
    }
}

void Stream::read_ahead(const std::stop_token& stop) {
    using namespace std::chrono_literals;
    if (auto opened = PlanReader::open(plan_, false)) {
        reader_ = std::move(*opened);
    } else {
        std::scoped_lock lock(trouble_mutex_);
        trouble_ = opened.error().text();
        return;
    }
    while (!stop.stop_requested()) {
        const auto wanted = wanted_chunks();
        const auto missing =
            std::find_if(wanted.begin(), wanted.end(), [&](int64_t c) { return !has(c * chunk_frames); });
        const auto spare = std::find_if(slots_.begin(), slots_.end(), [&](const Slot& s) {
            return std::find(wanted.begin(), wanted.end(), s.chunk.load()) == wanted.end();
        });
        if (missing == wanted.end() || spare == slots_.end()) {
            std::this_thread::sleep_for(4ms);
            continue;
        }
        const int64_t held = spare->chunk.exchange(-1);
        if (held >= 0 && playing_chunk_.load() == held) {  // the audio thread has just jumped into it
            spare->chunk.store(held);
            continue;
        }
        load(*spare, *missing);
        spare->chunk.store(*missing);
    }
}

}  // namespace isotonus
