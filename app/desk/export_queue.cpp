#include "app/desk/export_queue.h"

#include <QBuffer>
#include <QPdfWriter>
#include <QTextDocument>

#include "app/desk/comparison.h"
#include "app/desk/prompter.h"
#include "app/style/text.h"
#include "app/style/theme.h"

namespace isotonus {

void ExportQueue::add(Job job) {
    waiting_.push_back(std::move(job));
    if (!progress_) start_next();
    emit changed();
}

bool ExportQueue::has(const Job& job) const {
    const auto files = [](const Job& j) { return files_of(j.plan, j.session, j.delivery); };
    const std::vector<fs::path> wanted = files(job);
    return (progress_ && running_ == wanted) ||
           std::any_of(waiting_.begin(), waiting_.end(), [&](const Job& j) { return files(j) == wanted; });
}

void ExportQueue::cancel() {
    waiting_.clear();
    if (progress_) progress_->cancel();
    emit changed();
}

namespace {

fs::path pdf_file(const Delivery& d) { return d.folder / (d.session_name + " sheet.pdf"); }

std::string sheet_as_pdf(const QString& name, const nlohmann::json& sheet) {
    QByteArray pdf;
    QBuffer buffer(&pdf);
    buffer.open(QIODevice::WriteOnly);
    QPdfWriter writer(&buffer);
    writer.setPageSize(QPageSize(QPageSize::A4));
    writer.setPageMargins(QMarginsF(15, 15, 15, 15), QPageLayout::Millimeter);
    writer.setTitle(name);
    writer.setCreator("Isotonus");
    writer.setResolution(96);
    QTextDocument document;
    document.setDefaultFont(QFont(lettering(11).family(), 8));
    document.setPageSize(QSizeF(writer.width(), writer.height()));
    document.setHtml(QString::fromStdString(sheet_to_html(sheet)));
    document.print(&writer);
    buffer.close();
    return pdf.toStdString();
}

/// The sheet in its forms and the checksums: they are written with the audio, or not at all.
std::vector<Paper> papers_with_pdf(const ExportQueue::Job& job, const DeliveryReport& report) {
    const nlohmann::json sheet = sheet_to_json(
        {job.session, job.delivery.session_name, job.delivery.date, *job.plan, job.checks, report, job.left_out});
    std::vector<Paper> papers = papers_of(job.delivery, sheet, report);
    papers.push_back({pdf_file(job.delivery), sheet_as_pdf(QString::fromStdString(job.delivery.session_name), sheet)});
    return papers;
}

}  // namespace

void ExportQueue::start_next() {
    if (waiting_.empty()) return;
    progress_ = std::make_shared<Progress>();
    running_ = files_of(waiting_.front().plan, waiting_.front().session, waiting_.front().delivery);
    const auto job = std::make_shared<Job>(std::move(waiting_.front()));
    waiting_.pop_front();
    jobs_.start(
        [job](Progress& progress) {
            if (job->sheet)
                job->delivery.papers = [job = job.get()](const DeliveryReport& report) -> Result<std::vector<Paper>> {
                    return papers_with_pdf(*job, report);
                };
            return deliver(job->plan, job->session, job->delivery, &progress);
        },
        [this, job](const Result<DeliveryReport>& report) { finished(*job, report); }, progress_);
}

std::vector<fs::path> ExportQueue::papers(const Delivery& d) {
    std::vector<fs::path> files = paper_files(d);
    files.push_back(pdf_file(d));
    return files;
}

void ExportQueue::finished(const Job& job, const Result<DeliveryReport>& report) {
    progress_.reset();
    if (!report) {
        words_ = report.error().cancelled ? tr("Cancelled. No file was written.")
                                          : tr("Not exported: %1").arg(QString::fromStdString(report.error().text()));
    } else {
        QStringList words;
        int alike = 0;
        int64_t clamped = 0;
        const DeliveredFile* mix = nullptr;
        for (const DeliveredFile& f : report->files) {
            alike += f.proof == Proof::alike ? 1 : 0;
            clamped += f.clamped_samples;
            if (f.is_mix && !mix) mix = &f;
        }
        const DeliveredFile& first = mix ? *mix : report->files.front();
        const Measurement& m = first.measured;
        const auto count = static_cast<int>(report->files.size());
        words << (count == 1 ? tr("%1 was written").arg(to_qt(first.file))
                             : tr("%n file(s) written, with %1", nullptr, count).arg(to_qt(first.file)));
        words << tr("%1, sample peak %2 (headroom %3), true peak %4, loudness %5")
                     .arg(time_text(m.duration_s()), level_text(m.sample_peak_dbfs, "dBFS"),
                          m.sample_peak_dbfs ? db_text(-*m.sample_peak_dbfs) : tr("all"),
                          level_text(m.true_peak_dbtp, "dBTP"), level_text(m.integrated_lufs, "LUFS"));
        words << (alike > 0 ? tr("verified: level and length are right") : tr("verified: every sample is right"));
        if (report->stems_compared)
            words << (report->residue_dbfs ? tr("the sum of the stems differs from the mix by at most %1")
                                                 .arg(db_text(*report->residue_dbfs, "dBFS"))
                                           : tr("the stems sum to the mix exactly"));
        if (clamped > 0)
            words << tr("%1 samples were above full scale and were clipped: turn the main fader down").arg(clamped);
        words << tr("export time %1 s").arg(shown_figure(report->seconds, 1));
        words_ = words.join("; ") + '.';
        if (job.print && mix)
            comparison_.add_print(mix->file, m,
                                  QString::fromStdString(job.delivery.date + ' ' + job.delivery.time.substr(0, 5)), {},
                                  job.session);
    }
    start_next();
    emit changed();
}

}  // namespace isotonus
