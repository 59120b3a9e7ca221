/** Every bound that the server sets, in one place: what a request, a connection, a transaction and a computation may take. */

const KB = 1024
const MB = 1024 * KB

export const LIMITS = {
  /** A body after it is unpacked, bytes. */
  bodyBytes: 8 * MB,
  /** Bodies up to here are read where they arrive; longer ones in a worker thread, so that nobody waits for them. */
  bodyReadHereBytes: 48 * KB,
  headerBytes: 16 * KB,
  headerCount: 100,
  /** From the first byte of a request to the last of its headers, and of its body. */
  headersMs: 10_000,
  requestMs: 30_000,
  /** How often it is looked for those that take longer. */
  lookForSlowMs: 3000,
  /** A connection on which nothing happens. */
  keepAliveMs: 65_000,
  idleMs: 120_000,
  connections: 4000,
  /** Requests in flight are answered for so long when the server stops. */
  drainMs: 10_000,

  /** A page of a list. */
  pageItems: 100,
  pageMostItems: 500,
  pageBytes: 2 * MB,
  /** Answers that are kept as long as the list has not changed, all pages together. */
  keptListBytes: 48 * MB,

  /** Connections for looking, and for writing: who waits for a lock takes none from who reads. */
  readConnections: 8,
  writeConnections: 12,
  /** Of a busy machine too: what waits here for a connection is answered late, not refused. */
  connectMs: 10_000,
  statementMs: 12_000,
  lockMs: 4000,
  idleInTransactionMs: 10_000,
  /** A database that says nothing at all, not even that a statement took too long. */
  silentDatabaseMs: 15_000,
  /** `ready` is answered within this, whatever the database does. */
  readyMs: 1500,
  /** A write that lost its connection is asked again for so long. */
  askAgainMs: 3000,
  /** Connections that were closed just before a restore are gone within this. */
  leavingMs: 2000,

  /** A computation in a worker thread. */
  workMs: 25_000,
  workMemoryMb: 1024,
  workThreads: 2,
  /** Threads that read nothing but what is to be stored. */
  saveThreads: 1,
  workWaiting: 32,
  /** Big questions of one person that wait or are worked out. */
  workOfOne: 6,

  /** Pages that wait for changes: how many, how often each hears that it is still connected, when it must come again. */
  changeStreams: 1000,
  changeBeatMs: 25_000,
  changeStreamMs: 900_000,
  changeAgainMs: 1500,
  /** How long it is known what has changed, and how many changes a page that was away is told one by one. */
  changeLogS: 86_400,
  changesTold: 500,

  /** Room on the disk of the database: from here on it is told, and from here on nothing is written any more. */
  tightBytes: 1000 * MB,
  leastBytes: 100 * MB,
  lookForRoomMs: 2000,

  writesPerMinute: 12_000,
  signInsPerMinute: 20,
  /** Wrong passwords before waiting begins, and the longest wait. */
  freeFailures: 5,
  longestBlockS: 900,
  sessionDays: 30,
  /** A browser that was let in is known for so long; browsers keep no cookie longer. */
  knownDays: 400,
  /** Stored answers are given again for so long. */
  answerHours: 48,
} as const
