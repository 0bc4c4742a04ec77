#include "engine/stream.h"

#include <algorithm>
#include <chrono>

namespace isotonus {

Stream::Stream(PlanPtr plan, std::shared_ptr<Stream> before, int64_t expected)
    : plan_(std::move(plan)), before_(std::move(before)) {
    for (Slot& slot : slots_) slot.samples.resize(plan_->parts.size());
    if (expected >= 0) expected_chunk_ = expected / chunk_frames;
    if (before_) {
        before_->let_go_of_before();
        const auto& old = before_->plan_->parts;
        for (const PlanPart& p : plan_->parts) {
            const auto at = std::find_if(old.begin(), old.end(), [&](const PlanPart& o) {
                return o.material == p.material && o.delay_samples == p.delay_samples && o.channels == p.channels;
            });
            part_before_.push_back(at == old.end() ? -1 : static_cast<int>(at - old.begin()));
        }
    }
    thread_ = std::jthread([this](const std::stop_token& stop) { read_ahead(stop); });
}

Stream::~Stream() = default;

// The reader empties a slot (chunk = -1) before it writes into it and gives up if the audio thread is in that chunk;
// the audio thread says where it is before it looks.  With sequentially consistent order one of the two sees the other.
bool Stream::enter(int64_t frame, std::vector<const float*>& inputs) {
    const int64_t chunk = frame / chunk_frames;
    playing_chunk_.store(chunk);
    if (expected_chunk_.load(std::memory_order_relaxed) >= 0) expected_chunk_.store(-1);
    for (const Slot& slot : slots_) {
        if (slot.chunk.load() != chunk) continue;
        const int64_t offset = frame - chunk * chunk_frames;
        for (size_t i = 0; i < inputs.size(); ++i)
            inputs[i] = slot.samples[i] ? slot.samples[i]->data() + offset * plan_->parts[i].channels : nullptr;
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

void Stream::add_chunks_from(int64_t chunk, size_t most, std::vector<int64_t>& chunks) const {
    const int64_t last = (std::max<int64_t>(1, plan_->frames) - 1) / chunk_frames;
    const int64_t loop_first = loop_first_.load(), loop_end = loop_end_.load();
    while (chunks.size() < most && chunk <= last) {
        if (std::find(chunks.begin(), chunks.end(), chunk) != chunks.end()) break;  // a short loop, all of it
        chunks.push_back(chunk);
        const bool wraps = loop_end > loop_first && chunk == (loop_end - 1) / chunk_frames;
        chunk = wraps ? loop_first / chunk_frames : chunk + 1;
    }
}

std::vector<int64_t> Stream::wanted_chunks() const {
    std::vector<int64_t> chunks;
    const int64_t expected = expected_chunk_.load();
    const int64_t playing = playing_chunk_.load();
    // What is expected may be late news: half of the slots stay with what is being played.
    if (expected >= 0) {
        if (playing >= 0) add_chunks_from(playing, slot_count / 2, chunks);
        std::vector<int64_t> ahead;
        add_chunks_from(expected, slot_count / 2 - 1, ahead);
        for (const int64_t chunk : ahead)
            if (std::find(chunks.begin(), chunks.end(), chunk) == chunks.end()) chunks.push_back(chunk);
    } else {
        add_chunks_from(std::max<int64_t>(0, playing), slot_count - 1, chunks);
    }
    return chunks;
}

void Stream::tell(const Error& error) {
    std::scoped_lock lock(trouble_mutex_);
    trouble_ = error.text();
}

std::optional<Stream::Samples> Stream::held(int64_t chunk, size_t part) const {
    std::scoped_lock lock(slots_mutex_);
    for (const Slot& slot : slots_)
        if (slot.chunk.load() == chunk) return slot.samples[part];
    return std::nullopt;
}

std::vector<Stream::Samples> Stream::load(int64_t chunk) {
    std::vector<Samples> all(plan_->parts.size());
    std::vector<char> known(all.size());
    for (size_t i = 0; i < part_before_.size() && before_; ++i) {
        if (part_before_[i] < 0) continue;
        if (auto same = before_->held(chunk, static_cast<size_t>(part_before_[i]))) {
            all[i] = std::move(*same);
            known[i] = 1;
        }
    }
    auto inputs = reader_->read(chunk * chunk_frames, chunk_frames, &known);
    if (reader_->fault()) tell(*reader_->fault());
    if (!inputs) {
        tell(inputs.error());
        return all;
    }
    for (size_t i = 0; i < all.size(); ++i) {
        const PlanPart& part = plan_->parts[i];
        if (part.input != i)
            all[i] = all[part.input];
        else if (const float* in = (*inputs)[i])
            all[i] = std::make_shared<const std::vector<float>>(in, in + chunk_frames * part.channels);
    }
    return all;
}

void Stream::read_ahead(const std::stop_token& stop) {
    const auto done = without_exceptions({}, [&]() -> Result<void> { return read_until(stop); });
    if (!done) tell(done.error());
}

Result<void> Stream::read_until(const std::stop_token& stop) {
    using namespace std::chrono_literals;
    // One file that cannot be read does not silence the others.
    auto opened = PlanReader::open(plan_, false, true);
    if (!opened) return tl::unexpected(opened.error());
    reader_ = std::move(*opened);
    if (reader_->fault()) tell(*reader_->fault());
    while (!stop.stop_requested()) {
        if (lets_go_) before_.reset();
        const auto wanted = wanted_chunks();
        const auto missing =
            std::find_if(wanted.begin(), wanted.end(), [&](int64_t c) { return !has(c * chunk_frames); });
        const auto spare = std::find_if(slots_.begin(), slots_.end(), [&](const Slot& s) {
            return std::find(wanted.begin(), wanted.end(), s.chunk.load()) == wanted.end();
        });
        if (missing == wanted.end() || spare == slots_.end()) {
            before_.reset();
            std::this_thread::sleep_for(4ms);
            continue;
        }
        const int64_t old = spare->chunk.exchange(-1);
        if (old >= 0 && playing_chunk_.load() == old) {  // the audio thread has just jumped into it
            spare->chunk.store(old);
            continue;
        }
        std::vector<Samples> loaded = load(*missing);
        std::scoped_lock lock(slots_mutex_);
        spare->samples = std::move(loaded);
        spare->chunk.store(*missing);
    }
    return {};
}

}  // namespace isotonus
