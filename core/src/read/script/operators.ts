/** What one step of a computation does to what comes. */
export type StepWord =
  'passes' | 'narrows' | 'computes' | 'joins' | 'switches' | 'times' | 'starts' | 'keeps' | 'recovers' | 'ends' | 'does';

/**
 * What an operator does, in words that go on from its name. `{0}`, `{1}` stand for what it is given, `{fn}` for what a
 * function gives that it is handed, `{each}` for the name under which that takes what comes, `{all}` for all that it is given.
 */
export type OperatorWords = readonly [does: StepWord, says: string];

/** Operators on streams, as they stand between the parentheses of `pipe`. */
export const streamOperators: ReadonlyMap<string, OperatorWords> = new Map(
  Object.entries<OperatorWords>({
    filter: ['passes', 'only those for which {fn}'],
    distinctUntilChanged: ['passes', 'only one that differs from the one before'],
    distinctUntilKeyChanged: ['passes', 'only one whose {0} differs from that of the one before'],
    distinct: ['passes', 'each only once'],
    skip: ['passes', 'leaves out the first {0}'],
    skipWhile: ['passes', 'leaves out all until one comes for which {fn} does not hold'],
    skipUntil: ['passes', 'leaves out what comes before {0} does'],
    take: ['ends', 'after {0}'],
    first: ['ends', 'after the first'],
    last: ['ends', 'only the last is passed on, when there are no more'],
    takeWhile: ['ends', 'with the first for which {fn} does not hold'],
    takeUntil: ['ends', 'when {0} comes'],
    takeUntilDestroyed: ['ends', 'with what it is made in'],
    map: ['computes', '{fn} of each {each}'],
    mapTo: ['computes', '{0} for each'],
    pluck: ['narrows', '{0} of each'],
    scan: ['computes', '{fn}, of what it gave before and each that comes'],
    reduce: ['computes', '{fn}, of what it gave before and each that comes, told at the end'],
    toArray: ['computes', 'one list of all, at the end'],
    pairwise: ['joins', 'each with the one before'],
    withLatestFrom: ['joins', 'each with the latest of {all}'],
    combineLatestWith: ['joins', 'the latest with those of {all}, whenever one of them comes'],
    mergeWith: ['joins', 'with whatever comes of {all}'],
    concatWith: ['joins', 'followed by {all}'],
    zipWith: ['joins', 'one by one with those of {all}'],
    raceWith: ['joins', 'whichever of it and {all} comes first'],
    startWith: ['starts', 'with {all}'],
    endWith: ['joins', 'followed by {all}'],
    defaultIfEmpty: ['starts', '{0} where nothing comes'],
    switchMap: ['switches', 'to {fn}; what comes late of the one before is dropped'],
    mergeMap: ['switches', 'to {fn}; those before go on beside it'],
    flatMap: ['switches', 'to {fn}; those before go on beside it'],
    concatMap: ['switches', 'to {fn}, when the one before has ended'],
    exhaustMap: ['switches', 'to {fn}; what comes before it has ended is dropped'],
    switchAll: ['switches', 'to each; what comes late of the one before is dropped'],
    mergeAll: ['switches', 'to each; those before go on beside it'],
    concatAll: ['switches', 'to each, when the one before has ended'],
    expand: ['switches', 'to {fn}, again for each that this gives'],
    debounceTime: ['times', 'passes one on when none has come for {0} ms'],
    debounce: ['times', 'passes one on when none has come before {fn} does'],
    throttleTime: ['times', 'passes one on, and then none for {0} ms'],
    throttle: ['times', 'passes one on, and then none before {fn} comes'],
    auditTime: ['times', 'passes the latest on, {0} ms after the first'],
    sampleTime: ['times', 'passes the latest on, every {0} ms'],
    sample: ['times', 'passes the latest on, whenever {0} comes'],
    delay: ['times', '{0} ms later'],
    delayWhen: ['times', 'each when {fn} comes'],
    timeout: ['times', 'fails where none comes for {0} ms'],
    bufferTime: ['times', 'one list of what came within {0} ms'],
    bufferCount: ['computes', 'one list of each {0}'],
    observeOn: ['times', 'told by {0}'],
    share: ['keeps', 'one source for all who follow it'],
    shareReplay: ['keeps', 'one source for all who follow it; who comes later is told what came last'],
    publishReplay: ['keeps', 'who comes later is told what came last'],
    refCount: ['keeps', 'as long as somebody follows it'],
    catchError: ['recovers', 'where it fails, goes on with {fn}'],
    retry: ['recovers', 'where it fails, begins again'],
    repeat: ['recovers', 'when it has ended, begins again'],
    tap: ['does', '{fn} for each, and passes it on as it is'],
    finalize: ['does', '{fn} at its end'],
  }),
);

/** Functions that make a stream: of others, of time, of what people do. */
export const streamMakers: ReadonlyMap<string, OperatorWords> = new Map(
  Object.entries<OperatorWords>({
    combineLatest: ['joins', 'the latest of {all}, whenever one of them comes'],
    forkJoin: ['joins', 'the last of each of {all}, when all have ended'],
    zip: ['joins', 'one by one those of {all}'],
    merge: ['joins', 'whatever comes of {all}'],
    concat: ['joins', '{all}, one after the other'],
    race: ['joins', 'of {all} the one that comes first'],
    fromEvent: ['starts', 'with each {1} of {0}'],
    interval: ['times', 'one every {0} ms'],
    timer: ['times', 'one after {0} ms'],
  }),
);

/** Methods of lists and texts; those that say `{fn}` are meant only where they are handed a function. */
export const listMethods: ReadonlyMap<string, OperatorWords> = new Map(
  Object.entries<OperatorWords>({
    filter: ['passes', 'only those for which {fn}'],
    map: ['computes', '{fn} of each {each}'],
    flatMap: ['computes', '{fn} of each {each}, in one list'],
    reduce: ['computes', '{fn}, of what it gave before and each'],
    find: ['narrows', 'the first for which {fn}'],
    findLast: ['narrows', 'the last for which {fn}'],
    findIndex: ['narrows', 'the place of the first for which {fn}'],
    some: ['computes', 'whether there is one for which {fn}'],
    every: ['computes', 'whether for all of them {fn}'],
    includes: ['computes', 'whether it holds {0}'],
    slice: ['narrows', 'the part that {all} says'],
    sort: ['computes', 'in order'],
    toSorted: ['computes', 'in order'],
    reverse: ['computes', 'in the other order'],
    toReversed: ['computes', 'in the other order'],
    join: ['computes', 'one text'],
    trim: ['narrows', 'without the white space around it'],
    toLowerCase: ['computes', 'in small letters'],
    toUpperCase: ['computes', 'in capitals'],
    startsWith: ['computes', 'whether it begins with {0}'],
    then: ['times', 'when it has come, {fn}'],
  }),
);
