// Undo and redo: old session values, each with the name of the change that led to it.
#pragma once

#include <functional>
#include <map>
#include <memory>
#include <string>
#include <vector>

#include "core/session/session.h"

namespace isotonus {

class History {
  public:
    explicit History(Session first = {}) { reset(std::move(first)); }

    const Session& session() const { return *steps_[now_].session; }
    std::shared_ptr<const Session> shared() const { return steps_[now_].session; }

    /// Forgets everything and starts from this value, taken as saved.
    void reset(Session first) {
        steps_ = {{std::make_shared<const Session>(std::move(first)), {}, 0}};
        now_ = saved_ = 0;
    }

    /// Adds a step.  Steps of one gesture (a drag; any number but 0) become one.  What could be redone is gone.
    void commit(Session next, std::string name, uint64_t gesture = 0) {
        steps_.resize(now_ + 1);
        if (saved_ > now_) saved_ = never;
        auto value = std::make_shared<const Session>(std::move(next));
        if (gesture != 0 && steps_[now_].gesture == gesture && now_ != saved_) {
            steps_[now_].session = std::move(value);
            steps_[now_].name = std::move(name);
            return;
        }
        steps_.push_back({std::move(value), std::move(name), gesture});
        ++now_;
        if (steps_.size() > max_steps) {
            steps_.erase(steps_.begin());
            --now_;
            saved_ = saved_ == 0 || saved_ == never ? never : saved_ - 1;
        }
    }

    /// The last step is this gesture's, and more of it would still become one with it.
    bool is_last(uint64_t gesture) const { return steps_[now_].gesture == gesture && now_ != saved_; }

    bool can_undo() const { return now_ > 0; }
    bool can_redo() const { return now_ + 1 < steps_.size(); }
    const std::string& undo_name() const { return steps_[now_].name; }
    const std::string& redo_name() const { return steps_[now_ + 1].name; }
    void undo() { now_ -= can_undo() ? 1 : 0; }
    void redo() { now_ += can_redo() ? 1 : 0; }

    /// The same steps, each as `as_now` makes it: what a file said and could not be understood before is understood
    /// now.
    void understand(const std::function<Session(const Session&)>& as_now) {
        std::map<std::shared_ptr<const Session>, std::shared_ptr<const Session>> made;
        for (Step& step : steps_) {
            auto& now = made[step.session];
            if (!now) now = std::make_shared<const Session>(as_now(*step.session));
            step.session = now;
        }
    }

    void mark_saved() { saved_ = now_; }
    void mark_unsaved() { saved_ = never; }
    bool is_saved() const { return saved_ == now_; }

  private:
    static constexpr size_t max_steps = 1000;
    static constexpr size_t never = static_cast<size_t>(-1);
    struct Step {
        std::shared_ptr<const Session> session;
        std::string name;
        uint64_t gesture = 0;
    };
    std::vector<Step> steps_;
    size_t now_ = 0, saved_ = 0;
};

}  // namespace isotonus
