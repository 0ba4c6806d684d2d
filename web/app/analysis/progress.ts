/** What a long piece of work tells on its way. `total` is 0 where it is not known. */
export type Progress = { readonly stage: string; readonly done: number; readonly total: number };

export type ReportProgress = (progress: Progress) => void;

/** Work that the user stopped. */
export const cancelledMessage = 'Stopped before it was finished. Nothing was changed.';
