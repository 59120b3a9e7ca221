/** What core offers to the screens and the server. */
export { typicalOf } from './assembly/typical.ts'
export * from './assembly/aluminium.ts'
export * from './assembly/change.ts'
export * from './assembly/fitOut.ts'
export * from './assembly/offers.ts'
export * from './assembly/propose.ts'
export * from './assembly/swaps.ts'
export * from './assumptions/assume.ts'
export { CHANGE_STEPS, type ChangeStepCode, minutesKeyOf } from './assumptions/changeMinutes.ts'
export * from './assumptions/list.ts'
export * from './basis/source.ts'
export * from './basis/spelling.ts'
export type { Could } from './purchase/bestWay.ts'
export type { CostEnd } from './purchase/ground.ts'
export * from './purchase/couldDo.ts'
export * from './purchase/couldShares.ts'
export * from './purchase/derive.ts'
export * from './purchase/kit.ts'
export * from './purchase/machineBoard.ts'
export * from './purchase/setUpOf.ts'
export * from './purchase/study.ts'
export * from './purchase/kitProblem.ts'
export * from './purchase/stations.ts'
export { MOST_WAYS } from './purchase/unbeaten.ts'
export { isLarge } from './purchase/program.ts'
export * from './purchase/ranking.ts'
export * from './purchase/requirementWords.ts'
export * from './purchase/solve.ts'
export * from './purchase/turns.ts'
export * from './quantity/shopUnits.ts'
export { shownSymbol } from './calculation/formula.ts'
export type { Step, Term } from './calculation/step.ts'
export * from './capability/capability.ts'
export * from './changeover/changeover.ts'
export * from './changeover/handOver.ts'
export { median } from './changeover/median.ts'
export * from './changeover/onMachine.ts'
export type { ChangeStep } from './changeover/step.ts'
export { wasteCostOf } from './changeover/wasteCost.ts'
export { careOf } from './changeover/stepCare.ts'
export * from './changeover/quicker.ts'
export * from './words/changeText.ts'
export * from './words/dialInText.ts'
export * from './words/evidenceText.ts'
export { type Bead, type BeadState, beadsOf } from './dialin/beads.ts'
export { type Cause } from './dialin/causes.ts'
export { type Advice, type Move } from './dialin/advice.ts'
export { type Knob } from './dialin/knobs.ts'
export {
  breakersOf,
  type BreakerRecord,
  type Lesson,
  type LessonKind,
  lessonsOf,
  type OperatingFactor,
  operatingFactorsOf,
} from './record/lessons.ts'
export { printLog, type ReadLogRow, readLog } from './record/logSheet.ts'
export { type OwnStart, ownStart, startKey } from './record/ownStart.ts'
export { type MovedJob, movedBy } from './fit/movedBy.ts'
export { expectedGauge, gaugeL, type Reading, type Vessel } from './record/gauge.ts'
export { onHandOf } from './kinds/onHand.ts'
export { contentsG } from './stores/contents.ts'
export { exposureH } from './stores/rodOven.ts'
export { timedTravel, turnsPerMin } from './trade/turntable.ts'
export { couponPasses, leakRate, type CouponProof, provenTight } from './record/evidence.ts'
export { visualItems } from './record/visual.ts'
export {
  centsOf,
  COST_LINES,
  type CostLine,
  type CostLineId,
  costLinesOf,
  LABOUR_LINES,
  type Lives,
  USUAL_LIVES,
  type WeldCost,
  weldCostsOf,
} from './quote/costLines.ts'
export { type Habit, habitsOf, type Mover, moversOf, type OtherWay, otherWaysOf } from './quote/movers.ts'
export { priceOf } from './quote/price.ts'
export { costAt, type Spread, spreadOf } from './quote/spread.ts'
export { type Claim, Claims, type UsedForJob } from './capability/claims.ts'
export { type Arrival, arrivalsOf, type Draw, type RunOut, runOut, type StockStep } from './stores/runOut.ts'
export { OLD_PRICE_DAYS, orderOf, type ToOrder, toOrder, type ToOrderLine } from './stores/toOrder.ts'
export type { Cylinder } from './kinds/cylinder.ts'
export type { PriceOffer } from './kinds/offer.ts'
export { type Order, type OrderLine } from './kinds/order.ts'
export { type Quote } from './kinds/quote.ts'
export type { Spool } from './kinds/spool.ts'
export type { Supplier } from './kinds/supplier.ts'
export { dayNumber, daysAfter } from './model/days.ts'
export { claimOf } from './stores/claimOf.ts'
export { type UseLine, type UseLineId, useLinesOf } from './stores/useLines.ts'
export { planOfWelds, type RecordStart, recordFor, savedAs } from './record/recordFor.ts'
export { wireGPerMm } from './trade/depositionRate.ts'
export {
  MACHINE_FIELDS,
  type MachineRecord,
  machineRecordsOf,
  MOST_OF_MACHINE,
} from './record/machineRecord.ts'
export { type Wear, WEAR_STATES, WEAR_UNITS, wearPartsOf } from './record/wear.ts'
export {
  type Channel,
  type ChannelColumn,
  channelIn,
  channelOf,
  CHANNELS,
  unitsOf,
  unitWord,
} from './measurement/channels.ts'
export { ArcMeter, heatInputKJPerMm, type Measured } from './measurement/meter.ts'
export { measuredOf, type Samples, samplesOf, thinned, type Thinned } from './measurement/samples.ts'
export { isSameSettings, type Trial, trialOf, type TrialState } from './dialin/trial.ts'
export * from './words/spokenCard.ts'
export * from './words/procedureSheet.ts'
export {
  readSymbolText,
  symbolText,
  type SymbolMark,
  type WeldSymbol,
  weldSymbolOf,
} from './weldlist/symbol.ts'
export { type Card, cardOf, type Leads } from './card/card.ts'
export * from './capacity/capacity.ts'
export * from './capacity/plateMeaning.ts'
export * from './power/power.ts'
export type { PowerMend } from './power/mends.ts'
export * from './power/shopPower.ts'
export type { Chance, NodeCurve } from './power/shift.ts'
export type { LeftOut } from './power/together.ts'
export * from './power/trips.ts'
export type { HeatAt } from './supply/breaker/heat.ts'
export * from './board/board.ts'
export * from './board/packed.ts'
export { limitOf } from './criteria/limit.ts'
export * from './board/summary.ts'
export * from './board/whatIf.ts'
export * from './capability/slots.ts'
export * from './kinds/slots.ts'
export * from './catalogue/index.ts'
export type { LinkId } from './criteria/carries.ts'
export { isConsequence, missingSlots } from './criteria/chosen.ts'
export type { Assessment, Mend } from './criteria/criterion.ts'
export { OF_ARC, OF_FILLER, OF_HEAT, OF_SUPPLY, OF_USE } from './criteria/concerns.ts'
export * from './criteria/explain.ts'
export * from './criteria/index.ts'
export { type MissingField, missingFieldOf } from './criteria/missingField.ts'
export { type Demand, demandOf } from './demand/demand.ts'
export { type SequenceLine } from './demand/sequence.ts'
export { ARC_STATES } from './trade/arcWindow.ts'
export { PASS_KINDS, type PassKind } from './trade/layers.ts'
export * from './decision/decide.ts'
export { currentAtDutyA } from './duty/curve.ts'
export * from './events/index.ts'
export { type TickAct, type Ticked, type TickRun, tickRunOf } from './events/stepTicked.ts'
export {
  balanceOf,
  MOVE_REASONS,
  type MoveReason,
  type StockMove,
  usualReason,
} from './events/stockMovement.ts'
export * from './events/evidenceTaken.ts'
export * from './events/lessonSettled.ts'
export * from './events/workMarked.ts'
export * from './events/partReplaced.ts'
export * from './events/weldRecorded.ts'
export * from './fit/chain.ts'
export * from './fit/document.ts'
export * from './fit/fit.ts'
export * from './fit/leverage.ts'
export type { DialSetting } from './trade/dial.ts'
export type { SteelHeat } from './trade/cooling.ts'
export {
  explainOutcome,
  type Outcome,
  type OutcomeFigure,
  outcomeOf,
  type SettingsTried,
} from './fit/outcome.ts'
export * from './fit/settings.ts'
export * from './fit/suggest.ts'
export * from './fit/weldAdvice.ts'
export * from './library/index.ts'
export * from './joints/completeJoint.ts'
export { settleJoint } from './joints/contradictions.ts'
export { blankOf, describeFields, type FieldDescription, flatFields } from './model/describe.ts'
export * from './kinds/decision.ts'
export * from './kinds/equipment.ts'
export { valueAt } from './model/valueAt.ts'
export * from './model/fields.ts'
export * from './kinds/job.ts'
export * from './kinds/jobFile.ts'
export type { PresentSetUp } from './kinds/presentSetUp.ts'
export * from './model/jointKinds.ts'
export * from './model/material.ts'
export * from './model/merge.ts'
export * from './joints/newJoint.ts'
export { weldCountOf } from './joints/weldCount.ts'
export * from './kinds/patch.ts'
export * from './model/problems.ts'
export * from './model/process.ts'
export * from './kinds/usualRun.ts'
export { PLANNED_FIELDS, type PlannedKind } from './kinds/fieldList.ts'
export { fieldsOf, type ReferenceFound, referencesIn, stockFieldOf } from './kinds/records.ts'
export { PRIORITIES } from './model/priority.ts'
export { QUALITIES } from './model/quality.ts'
export { usualWelder, weekdayOf } from './plan/people.ts'
export { clockMin, DAY_MIN, dayOf, minuteOf, timeOf } from './plan/shopTime.ts'
export { keptBlock, type PlanQuestion, type WeekBlock } from './plan/build.ts'
export { buildPlan } from './plan/build.ts'
export type { Choice as PlanChoice } from './plan/placing.ts'
export { type Batch, batchesOf } from './plan/batches.ts'
export { boundsOf, type PlanBounds } from './plan/bound.ts'
export { type Conflict, conflictsOf } from './plan/conflicts.ts'
export { type Interruption, interruptionsOf } from './plan/interrupt.ts'
export { movedApart, type TrippingHours, trippingHoursOf } from './plan/planPower.ts'
export { costOfPlan, type PlanCost } from './plan/problem.ts'
export { machineOffersFor, type Save, savesOf } from './plan/saves.ts'
export { PlanSearch } from './plan/search.ts'
export {
  foundOf,
  isCalm,
  movedIn,
  PLAN_SEED,
  planCalmly,
  planNow,
  USUAL_CALM,
  type Week,
} from './plan/week.ts'
export { Ways } from './plan/ways.ts'
export { paceOf } from './plan/minutes.ts'
export type { Welder } from './kinds/welder.ts'
export { PLAN_ID, type PlannedBlock, type WorkPlan } from './kinds/workPlan.ts'
export * from './kinds/requirementSheet.ts'
export * from './kinds/shelf.ts'
export * from './kinds/shop.ts'
export * from './kinds/counts.ts'
export type { Message } from './model/message.ts'
export * from './model/verdict.ts'
export * from './kinds/facts.ts'
export * from './kinds/files.ts'
export {
  type PathsOf,
  type RecordAt,
  type RecordKind,
  type RecordPath,
  schemaOf,
  type StockItem,
} from './kinds/index.ts'
export { amountSchemaOf } from './kinds/stock.ts'
export { upcastFile, upcastRecord } from './kinds/upcasts.ts'
export * from './quantity/index.ts'
export { printNumber, printTenth, printValue, printWholeAmps } from './quantity/printValue.ts'
export { fillerName } from './reference/fillerNames.ts'
export * from './reference/materials.ts'
export * from './reference/pairs.ts'
export * from './reference/processes.ts'
export { dialMarks, OPEN } from './sheet/cells.ts'
export { ruleBookOf, usualFilletRule, usualRuleBook } from './supply/index.ts'
export { suggestionsFor } from './supply/suggestions.ts'
export { readConductor } from './supply/conductor.ts'
export * from './supply/plateCheck.ts'
export { crossSection, type Dimension, type Point } from './trade/section.ts'
export type { GaugeTableId } from './quantity/gauges.ts'
export { tungstenCurrentRange } from './reference/tungstenRanges.ts'
export { wireCurrentRange } from './reference/wireRanges.ts'
export { pairNames } from './trade/service.ts'
export * from './weldlist/applyChange.ts'
export { printSize } from './weldlist/size.ts'
export { COLUMNS } from './weldlist/columns.ts'
export { isLineField, LINE_FIELDS, type LineField, printLineField, readLineField } from './weldlist/lines.ts'
export * from './weldlist/table.ts'
export * from './weldlist/text.ts'
export * from './weldlist/words.ts'
export { ENGLISH } from './words/english/index.ts'
export * from './words/rows.ts'
export { contradictionText } from './words/contradictionText.ts'
export { mendText, suggestionText } from './words/mends.ts'
export * from './words/speech.ts'
export * from './words/spokenFit.ts'
