/** What the thread that reckons is asked only after the answer stands: fetched then, so that the answer comes sooner. */
export {
  boardOf,
  chosenIf,
  jobIf,
  capacityOf,
  changeSetUp,
  explain,
  explainCapacity,
  explainLink,
  explainOutcome,
  explainStart,
  explainWeld,
  offersFor,
  outcomeOf,
  suggest,
} from '@brannik/core'
