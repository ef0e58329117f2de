import { deferral, type PlanReport } from '@hosket/core';
import { FindingItem, severityWords } from '../FindingItem.tsx';

const severities = ['stop', 'warn', 'note'] as const;

/** Everything the rules have to say about the whole plan, in one list; what is ignored last. */
export function ChecksPage({ report }: { report: PlanReport }) {
  const counts = report.findings.filter(({ overruled }) => overruled === undefined);
  const against = report.findings.filter(({ overruled }) => overruled !== undefined);
  return (
    <div>
      {!report.findings.length && <p className="text-sm">Nothing stands against this plan.</p>}
      {severities.map((severity) => {
        const list = counts.filter((finding) => finding.severity === severity);
        if (!list.length) return null;
        return (
          <section key={severity} className="mb-3">
            <h2 className="mb-1 text-base">{severity === 'note' ? 'Notes' : severityWords[severity]}</h2>
            <List label={severityWords[severity]} findings={list} />
          </section>
        );
      })}
      {against.length > 0 && (
        <section className="mb-3">
          <h2 className="mb-1 text-base">Ignored, with a note</h2>
          <List label="Ignored" findings={against} />
        </section>
      )}
      <p className="text-xs text-muted">
        Rules of the trade are common practice, no source, where nothing else is said. {deferral}
      </p>
    </div>
  );
}

const List = ({ label, findings }: { label: string; findings: PlanReport['findings'] }) => (
  <ul aria-label={label}>
    {findings.map((finding) => (
      <FindingItem key={`${finding.code} ${finding.place} ${finding.message}`} finding={finding} whole />
    ))}
  </ul>
);
