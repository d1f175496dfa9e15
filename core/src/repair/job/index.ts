export * from './records';
export * from './photo-records';
export * from './quote-records';
export * from './choices';
export { takenReading, type TypedOut } from './taken-reading';
export { liveReadings } from './live-readings';
export * from './strip-records';
export { orderSizes, type OrderSize } from './order-sizes';
export { alphaOf, instrumentUncertaintyMm } from './measured';
export { biasAtMm, instrumentOf, overdueFlag } from './bias';
export type { DisputeFinding, PlaceFinding } from './place-finding';
export { asItIsNow, inHand, inState } from './in-state';
export { AS_FOUND, partStates, type PartState } from './part-states';
export { meanOf, TAPER_OVER, type QuantityFinding } from './place-figures';
export type { IndicatorFinding } from './indicator-finding';
export type { ThreadFinding } from './thread-finding';
export type { GrooveFinding } from './groove-finding';
export { ACTS, type ActRow } from './acts.data';
export { atStake, holdsBack, pointsOfNoReturn, type AtStake, type PointOfNoReturn } from './no-return';
export { unknownMetal, type DeskOutlook, type DeskSetting } from './fit-desk';
export {
  defaultSchoolOf,
  HOUSE_DEFAULT_SCHOOL,
  inLineMm,
  mayGoInto,
  ownOption,
  truedTooSmall,
  type FitFigures,
  type FitFinding,
  type SchoolOption,
} from './fit-finding';
export { ownBore, truedTooLarge, type BoreFigures, type BoreFinding, type BoreOption } from './bore-finding';
export type { SeatFinding } from './seat-finding';
export { expectedAt } from './expected';
export type { DimensionFinding, LimitsFrom, PartFinding, SegmentFinding } from './part-finding';
export { STEP_ACT_IDS, STEP_ACTS, stepActOf, type StepAct, type StepActRow } from './step-acts.data';
export type { BlockPlan } from './block-plan';
export type { HoleRow } from './hole-table';
export { askedHere, type AskedHere } from './asked-here';
export { drawingSheet, itemSheet, unitBehind, writtenDimension, writtenValue } from './drawing-sheet';
export { usualPlan, type PlanFinding, type PlannedRunOut, type PlannedSetUp } from './plan-finding';
export { rungFigure } from './plan-figures';
export { passDial, type SegmentPasses } from './planned-passes';
export type { Pushed } from './pushed';
export type { CutFinding } from './cut-finding';
export type { AssembledCheck, AssembledState } from './assembled';
export { ASSEMBLED_IDS } from './assembled.data';
export { blankNeed, comesOutOf, noBarWords, onRack, sawNeeds, sawStop, SHORTEST_KEPT_MM, type SawNeed } from './saw-need';
export { outsideSlips, type OutsideSlip } from './outside-slip';
export { signProblems, untried, type ProofFinding, type Signing } from './proof-finding';
export { freeze, movedFigures, notAsSeen, newestRelease, MOVED_LEAST_MM, type MovedFigure } from './release';
export { CAUTIONS, FILE_CAUTION, hazardsAtCut, LICENSED_HAZARDS, type Caution } from './cautions.data';
export { handOverHolds, stillHeld, type HandOverHold } from './hand-over';
export { nextMove } from './stations';
export { movedByShop, type MovedJob, type ShopMove } from './shop-moves';
export { isStraightened, PRESS_CAUTION, type LoggedPush, type PressChoice, type PressFinding, type PushChoice } from './pressed';
export type { BeadChoice, LaidBead, WeldChoice, WeldFinding } from './welded';
export { trialsOf, trialWords, type Trial, type TrialChoice, type TriedFinding } from './tried';
export { toDoIfChosen, type ToDo, type UrgencyChoice } from './to-do';
export { type RunChoice, type ToDoAct } from './to-do-act';
export { seenAt, workOut, type Job, type Repair } from './repair';
export {
  choiceOf,
  ITEM_KINDS,
  itemsOff,
  jobItems,
  newItem,
  newStep,
  stillMoves,
  partKeyOf,
  tellsOfItem,
  type ItemChoice,
  type ItemCut,
  type ItemKind,
  type ItemStep,
  type JobItem,
} from './items';
export { piecesOf, type Piece, type PieceChoice } from './pieces';
export { goodPieces, isCutToSize, type ItemFinding, type PieceFinding } from './item-finding';
export { ITEM_STATIONS, itemStanding, type ItemStation } from './item-stations';
export { foretoldWords, playWords, type PlayWords } from './play-words';
export { provedOf, provedWords, spreadWords, type Proved } from './proved';
export { cameIn, cutInHand, proofInHand, sizeInHand } from './in-hand';
export { nextOfBatch, throughOf, type BatchStep } from './batch';
export { type BoringFinding } from './boring-finding';
export { crossSlide, type Dialled } from './bored-on';
export { type ReworkPlan } from './rework-plan';
export { type TurnedAgainFinding } from './turned-again';
export { firstArticle, playInputs, type Article, type ArticleRow } from './first-article';
export { type SizeCutState } from './asked-cut';
export { type SizeCut } from './size-cut';
export { alongWords, type AlongCut, type AlongSpot } from './along-cut';
export { wiresAt, type WiresAt } from './over-wires';
export { proofPlanWords } from './proof-plan';
export { everyFigure, placeInHand, stationFigure } from './station-figure';
export type { DiagnosisFinding } from './diagnosis-finding';
export { doubtOf, type DoubtInput, type Offer, type ReadingDoubt } from './reading-doubt';
export { readsAt } from './reads-at';
export { doubtInputFor, type AboutToKeep } from './doubt-input';
export { rightKey, type StandingOut } from './suspects';
export { PAIR_KINDS, PAIRS, type PairKind } from './runs-here.data';
export type { RunsHere } from './runs-here';
export { madeSizeMm, originalSizeMm, SAME_SIZE_SHARE } from './made-size';
export { axisStartMm } from './on-axis';
export type { PictureFinding } from './diagnosis-finding';
export { routeIdsOf, routesOf } from './routes';
export {
  consideredRoutes,
  CONSIDERED_STATES,
  layOut,
  ownRoute,
  proposeRoute,
  untouchedOf,
  type ConsideredAct,
  type ConsideredBuy,
  type ConsideredChoice,
  type ConsideredStock,
  type EstimatedAct,
  type EstimatedThen,
  type LaidOut,
} from './considered';
export { estimatedNow, type RouteAct, type RouteFinding } from './route-finding';
export { chosenWay, handsPrice, spentAgainst, spentOn, type SpentChoice, type SpentRow } from './spent';
export {
  customersWay,
  moneyWords,
  priceWords,
  quoteCard,
  readyAfterYes,
  quoteMessage,
  quoteState,
  readyWords,
  type QuoteState,
  type QuoteReady,
  type QuoteTold,
} from './quote';
export { allInAll, dayWithoutIt, type StandingStillChoice } from './standing-still';
export { comebackOf, doneBefore, type ComebackChoice, type DoneBefore } from './done-before';
export { ledgerCard, type LedgerCard, type LedgerSize } from './ledger-card';
export { SIZE_SHARE, traitsOf, type JobTraits } from './likeness';
export { drawnId, placeOf } from './drawn-id';
export { workDone } from './work-done';
