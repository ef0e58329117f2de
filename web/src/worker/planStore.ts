import type {
  MovesReport,
  NestJob,
  PlanProgress,
  PlanReport,
  Project,
  StackReport,
  StageTime,
  Suggestion,
} from '@hosket/core';
import { useMemo } from 'react';
import { create } from 'zustand';
import { usePreview } from '../store/preview.ts';
import { projectStore } from '../store/projectStore.ts';
import { dropDraft, useDraft } from './draftStore.ts';
import { answerSchema, bare, type DrawnFields, type Fields, type PlanRequest, type Weighed } from './messages.ts';
import { patched } from './patch.ts';

interface PlanState {
  report: PlanReport | null;
  fields: Fields | null;
  /** What may be laid on which sheets: for the search of a layout. */
  jobs: readonly NestJob[];
  /** The report is of an earlier state of the project; a newer one is being worked out. */
  behind: boolean;
  failed: string | null;
  /** How far a plan is that takes long; null while it does not. */
  progress: PlanProgress | null;
  /** The builder stopped the newest plan: the report is of the one before. */
  stopped: boolean;
  /** Zones that the rules of the trade would lay on this ground; gone with the next change. */
  suggestion: Suggestion | null;
  /** What bringing levels onto joints would save: null where none may be moved; undefined until it is known. */
  moves: MovesReport | null | undefined;
  /** Other stacks that were asked for; gone with the next change. */
  weighed: Weighed | null;
  /** What became of each stage of the newest plan: for whoever works on it. */
  stages: readonly StageTime[];
}

/** Paste and areas as they were, where they still lie on the same lattice; none before they are known. */
const nothingElse = (before: Fields | null, { ground, zones }: DrawnFields): Pick<Fields, 'pasteMm' | 'areas'> =>
  before && before.ground.columns === ground.columns && before.ground.rows === ground.rows
    ? before
    : { pasteMm: new Float32Array(zones.zone.length), areas: null };

let askFor: ((project: Project, what: Pick<PlanRequest, 'suggest' | 'weigh'>) => void) | null = null;

/** Asks for zones by the rules of the trade; they come as `suggestion`. */
export const askSuggestion = (): void => {
  const { project } = projectStore.getState();
  if (project) askFor?.(project, { suggest: true });
};
/** Asks what other stacks come to in days and money; it comes as `weighed`. */
export const askWeighed = (weigh: Weighed['asked']): void => {
  const { project } = projectStore.getState();
  if (project) askFor?.(project, { weigh });
};
export const dropSuggestion = (): void => usePlan.setState({ suggestion: null });

/** The newest plan that the worker has answered with. */
export const usePlan = create<PlanState>(() => ({
  report: null,
  fields: null,
  jobs: [],
  behind: false,
  failed: null,
  progress: null,
  stopped: false,
  suggestion: null,
  moves: undefined,
  weighed: null,
  stages: [],
}));

let begin: () => void = () => {};
let end: () => void = () => {};

/** Ends the work on the newest plan; what stood before it stays. */
export const stopPlan = (): void => end();
/** Works the open project out anew, from nothing. */
export const planAnew = (): void => begin();

/** Keeps the plan in step with the open project. Gives a function that stops it. */
export function startPlanning(): () => void {
  let worker: Worker | null = null;
  let ticket = 0;
  let reported: PlanReport | null = null;
  /** The drawings of the newest whole plan: what is stopped halfway is not left half shown. */
  let complete: Fields | null = null;
  /** The worker that plans; another one where the one before was stopped or fell over. */
  const planning = (): Worker => {
    if (worker) return worker;
    reported = null;
    worker = new Worker(new URL('./planWorker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = taken;
    worker.onerror = (event) => {
      dismiss();
      usePlan.setState({ failed: event.message || 'the planner fell over', behind: false, progress: null });
    };
    return worker;
  };
  const dismiss = () => {
    worker?.terminate();
    worker = null;
  };
  const ask = (project: Project) => {
    ticket++;
    usePlan.setState({
      behind: true,
      stopped: false,
      progress: null,
      suggestion: null,
      moves: undefined,
      weighed: null,
    });
    planning().postMessage({ ticket, project: bare(project) } satisfies PlanRequest);
  };
  askFor = (project, what) => {
    ticket++;
    planning().postMessage({ ticket, project: bare(project), ...what } satisfies PlanRequest);
  };
  begin = () => {
    const { project } = projectStore.getState();
    dismiss();
    if (project) ask(project);
  };
  end = () => {
    dismiss();
    dropDraft();
    usePlan.setState({ stopped: true, behind: true, progress: null, fields: complete });
  };
  const taken = ({ data }: MessageEvent) => {
    const answer = answerSchema.parse(data);
    // Each is sent once, when it has changed: what arrives is kept.
    if (answer.kind === 'drawn') {
      usePlan.setState(({ fields }) => ({ fields: { ...nothingElse(fields, answer.drawn), ...answer.drawn } }));
      if (!usePreview.getState().latest) dropDraft();
    } else if (answer.kind === 'plan') {
      // Whatever the page shows, the next answer begins from this one.
      const report = patched(reported, answer.report) as PlanReport;
      reported = report;
      usePlan.setState((state) => ({
        report,
        fields: state.fields && { ...state.fields, ...answer.rest },
        stages: answer.stages,
        jobs: answer.jobs ?? state.jobs,
        failed: null,
        progress: null,
        behind: answer.ticket !== ticket || answer.near,
      }));
      complete = usePlan.getState().fields;
      if (!usePreview.getState().latest) dropDraft();
    } else if (answer.kind === 'suggestion') {
      if (answer.ticket === ticket) usePlan.setState({ suggestion: answer.suggestion });
    } else if (answer.kind === 'moves') {
      if (answer.ticket === ticket) usePlan.setState({ moves: answer.moves });
    } else if (answer.kind === 'weighed') {
      if (answer.ticket === ticket) usePlan.setState({ weighed: answer.weighed });
    } else if (answer.kind === 'progress') {
      if (answer.ticket === ticket) usePlan.setState({ progress: answer.progress });
    } else if (answer.ticket === ticket) usePlan.setState({ failed: answer.why, behind: false, progress: null });
  };
  const stop = projectStore.subscribe(({ id, project }, before) => {
    if (project === before.project) return;
    if (id !== before.id) {
      complete = null;
      usePlan.setState({ report: null });
    }
    if (project) ask(project);
  });
  // A drag that is given up leaves the plan as it was, and its draft has no successor.
  const stopPreview = usePreview.subscribe((now) => {
    if (!now.latest) queueMicrotask(() => !usePlan.getState().behind && dropDraft());
  });
  const { project } = projectStore.getState();
  if (project) ask(project);
  return () => {
    stop();
    stopPreview();
    dismiss();
  };
}

/** The stack that is built, once there is a plan. */
export const chosenSchool = (report: PlanReport): StackReport => report.stack;

/** The fields that drawings are made from: the draft of a drag under way, or those of the newest plan. */
export function useFields(): Fields | null {
  const fields = usePlan((state) => state.fields);
  const draft = useDraft((state) => state.draft);
  return useMemo(() => (fields && draft ? { ...fields, ...draft } : fields), [fields, draft]);
}
