/** The public names of the core: what the interface, the server, tools and tests may rely on. */
export * from './check/beam';
export type { Check, CheckContext, Level, Step, WayOut } from './check/check';
export { runChecks } from './check/run-checks';
export { shelfSag, shelfSecondMoment } from './check/shelf-beam';
export { pieceWeight } from './check/stability';
export { CLIMATE_TYPES, type ClimateType, turnedSouth } from './climate/climate-types';
export { indoorClimate, type Room, RoomSchema } from './climate/indoor';
export { moistureFigure } from './climate/moisture-figure';
export {
  type AirToday,
  airOnDay,
  DAYS_IN_YEAR,
  type DayOfAir,
  indoorMonths,
  type LoggedDay,
  type Month,
  MonthSchema,
  type Place,
  PlaceSchema,
  type YearOfAir,
  yearOfAir,
} from './climate/place';
export {
  type AirReading,
  type BoardReading,
  BoardReadingSchema,
  doubtOf,
  ReadingsSchema,
} from './climate/readings';
export { HEATED_ROOM, UNHEATED_ROOM } from './climate/usual-rooms';
export type { FigureField, FormField, WholeForm } from './decision/form-field';
export { problemsOf, read } from './decision/issues';
export { plainText } from './decision/plain-text';
export * from './decision/room-for-people';
export { type Bounds as NumberBounds, boundsOf, optionsAt, type SchemaLike } from './decision/schema-at';
export { type Shop, ShopSchema } from './decision/shop';
export { USE_OF_PIECE, type Use as UseOfPiece, usesOf } from './decision/use';
export { changedJob } from './document/change-job';
export * from './document/job-document';
export { type Conflict, differences, type Merge, mergeDocuments, resolved } from './document/merge-documents';
export * from './document/piece-in-job';
export { OF_THE_PIECE } from './document/version-1';
export { type Apart, drawView, takenApart } from './drawing/drawing';
export { drawJoint, type JointFamily, jointFamilies, jointFigures, wordsOfJoint } from './drawing/joint-drawing';
export { type PartMesh, partMeshes } from './drawing/part-meshes';
export { type SmallDrawing, smallDrawing, UNIT as SMALL_UNIT } from './drawing/small-drawing';
export type { Dimension, FastenerMark, Shape, View, ViewName } from './drawing/view';
export type { CsvStyle } from './format/csv';
export { curveTables } from './format/curve-tables';
export { type CutListRow, cutList, sayEnds, sayFaces } from './format/cut-list';
export { writeCutListCsv } from './format/cut-list-csv';
export { writeCutsCsv } from './format/cuts-csv';
export { fileName } from './format/file-name';
export { fullSizeDrawings } from './format/full-size';
export { FULL_SIZE_LAYERS, type FullSizeDrawing } from './format/full-size-drawing';
export { writeFullSizeDxf, writeFullSizeSvg } from './format/full-size-files';
export { type JobFile, JobFileSchema, readJobFile, writeJobFile } from './format/job-file';
export { composeLabels } from './format/labels';
export { DXF_LAYERS, writeLayoutDxf } from './format/layout-dxf';
export { writeLayoutSvg } from './format/layout-svg';
export { type LoggerFile, readLoggerCsv } from './format/logger-csv';
export { writeOffsetsCsv } from './format/offsets-csv';
export { type Mark, PAPERS, type Page, type Paper, type PaperDrawing } from './format/page';
export {
  type FileColumn,
  RACK_COLUMNS,
  RACK_FIELDS,
  type RackRow,
  rackColumns,
  readRackCsv,
  writeRackCsv,
} from './format/rack-csv';
export { sayCut, sayFreed } from './format/say-cuts';
export { bestOrder } from './glueup/best-order';
export type { EdgeJoint } from './glueup/edge-joints';
export { GLUES, type Glue } from './glueup/glue';
export * from './glueup/lay-panel';
export { clampsThatReach, type GlueStage, type GlueUp, planGlueUps } from './glueup/plan-glue-ups';
export * from './glueup/trim-panel';
export { type DerivedJob, type DerivedPiece, type DerivedWood, deriveJob } from './job/derive-job';
export { type DrawnStart, drawnStarts } from './job/drawn-starts';
export type { JobInputs } from './job/inputs';
export { layoutOfPiece, namesOfPiece, placementsOfPiece } from './job/names-in-job';
export { nextOperation } from './job/next-operation';
export { keptOffJoints, outlineOfPanel, panelOfTop, type WorkedPanel } from './job/panels';
export { type Parcel, packed, unpacked } from './job/parcel';
export { type PieceWish, proposeJob, proposePiece } from './job/propose-job';
export { type OwnedCheck, ownedChecks, ownerOfPiece, type ShownPiece, shownPiece } from './job/shown-piece';
export { type ProvenWayOut, tryChanges, waysOut } from './job/ways-out';
export { type WholeLayout, wholeLayout } from './job/whole-layout';
export { LAYOUT_EFFORT } from './job/wood-stage';
export { TONGUES } from './joint/breadboard';
export { POCKET_ANGLE } from './joint/corner-screws';
export { ALIGNERS, type AlignerSize } from './joint/edge-joint';
export { SEAMS } from './joint/end-seam';
export { dowelWithdrawal, lagWithdrawal, screwWithdrawal, shearAlongGrain } from './joint/hold-strength';
export { housingDepth } from './joint/housing';
export type { Joint, JointKind } from './joint/joint';
export {
  CORNERS,
  type CornerJoint,
  type InsertedCorner,
  isInserted,
  legCorner,
  tenonThickness,
} from './joint/leg-corner';
export { MITRE_KEYS } from './joint/mitre';
export { type Blank, blanksOf } from './layout/blanks';
export { checkBoard, checkLayout } from './layout/check-layout';
export { clearArea } from './layout/clear-area';
export * from './layout/compare-layouts';
export { cutSequence, type SawCut } from './layout/cut-sequence';
export { type CutStep, cutSteps } from './layout/cut-steps';
export * from './layout/demand';
export { sawCuts, writtenLayout } from './layout/describe-layout';
export { blankLabel, type LabelOf, labelsBy, labelsOfPiece } from './layout/labels';
export * from './layout/layout';
export { LAYOUT_AIMS, layoutOptionsOf, layoutWeights } from './layout/layout-aims';
export { leastCost } from './layout/least-cost';
export { PAIR_SCHOOLS } from './layout/matched-pairs';
export {
  isMoved,
  type MoveGround,
  movedLayout,
  movesTo,
  offcutsOf,
  placeOn,
  snapPiece,
  standingMoves,
  swapMoves,
  tryMove,
  wrongOfMoves,
} from './layout/move-piece';
export { type LayoutProgress, planLayout, searchLayout } from './layout/plan-layout';
export { PROPOSAL, shoppingList, whyToBuy } from './layout/shopping-list';
export { highsSolver } from './linear/highs-solver';
export * from './linear/linear-problem';
export * from './measure/calendar';
export { CUSTOMARY, READ_OTHERWISE, type ReaderUnit } from './measure/customary';
export type { Figure } from './measure/figure';
export * from './measure/length';
export type { Problem } from './measure/problem';
export { type Phrase, type Quantity, say, type Unit } from './measure/quantity';
export { seededRandom } from './measure/random';
export { readDay } from './measure/read-day';
export {
  writeLength,
  writeNumber,
  writePhrase,
  writeQuantity,
  writeRule,
  writtenParts,
} from './measure/write-quantity';
export {
  cleanedShare,
  crookOfHeights,
  type Flattening,
  forecastMilling,
  forecastResaw,
  type Heights,
  heightAt,
  heightsFromCrook,
  type MeasuredBoard,
  type MillingForecast,
  type MillingLimits,
} from './milling/forecast-milling';
export { daysToRest, millingFigures } from './milling/milling-figures';
export { asFitted } from './piece/case/alcove';
export { type CaseForm, CaseFormSchema } from './piece/case/form';
export * from './piece/case/form-fields';
export * from './piece/case/inside/cells';
export { CLOSING_FIELDS } from './piece/case/inside/closed-spaces';
export * from './piece/case/kinds';
export { MOULDING_FIELDS } from './piece/case/moulding';
export type { PieceDecided } from './piece/derive-piece';
export { derivePiece } from './piece/derive-piece';
export { KIND_PLURALS } from './piece/kind-words';
export { isMade, MATERIALS, madeParts } from './piece/material';
export type { Fastener, Fitting, Part, PartKind, Size } from './piece/part';
export {
  type CasePiece,
  type CaseSpace,
  findPart,
  leadingInWords,
  leadingPart,
  leadingWord,
  type Piece,
  partsOfKind,
  type TablePiece,
} from './piece/piece';
export { drawnSize } from './piece/settle-locks';
export { solveX } from './piece/table/bases/frames/x-legs';
export { cornerFromAbove } from './piece/table/bases/leg-apron/corner-from-above';
export { blankId, halfDiagonal, LEG_MAKING, legBlanks, ownerOf } from './piece/table/bases/leg-apron/making';
export { isSatAllRound } from './piece/table/form';
export * from './piece/table/form-fields';
export * from './piece/table/form-questions';
export { FLATNESS } from './piece/table/holds/battens';
export { HOLDS } from './piece/table/holds/hold';
export { FRAMED_PANELS } from './piece/table/tops/framed';
export { partVolume, partWeight } from './piece/weight';
export { FINISH_NAMES } from './plan/finishing';
export type { Operation } from './plan/operation';
export { planOperations } from './plan/operations';
export { type DatedOperation, type Schedule, schedule } from './plan/schedule';
export * from './restraint/restraint';
export * from './restraint/tie';
export { CHAIR, chairsOf } from './room/chairs';
export { inRoom, outlineInRoom, roomOf, type Standing, seenFromAbove } from './room/standing';
export { type Band, type BandInput, bandInputOf, drawBand, SPREADS } from './season/forecast-band';
export { type Correction, learnFrom, type MeasuredWidth } from './season/learning';
export { type PieceRestraint, restraintOfPiece, travelInCase, travelOfTop } from './season/restraint-of-piece';
export { deriveSeason, SEASON_DAYS } from './season/season';
export { FINISH_OF_PLAN, type Season } from './season/season-state';
export { freeHeightFigure, layStrips, shapeOfTop } from './season/shape-of-top';
export { leadingWidthAt, sizeAt } from './season/size-at';
export { acrossAt } from './solid/line-across';
export { type Flat, gapBetween, insideBy } from './solid/outline';
export { sayCaseChange, sayKindChange } from './start/kind-change';
export { newJob } from './start/new-job';
export { copyOfJob, copyOfPiece, newPiece, partWoodChanges, woodChanges } from './start/pieces';
export {
  openingChanges,
  startBackChanges,
  startCaseTopChanges,
  startCornerChanges,
  startFixingChanges,
  startFrontChanges,
  startStandChanges,
} from './start/start-case';
export { startBase, startBaseChanges, startTop, startTopChanges } from './start/start-form';
export {
  canStartSo,
  isCase,
  isForSeats,
  isSatOn,
  SIZES_TO_START,
  START_NAMES,
  STARTS,
  type Start,
  type StartSize,
  usualSize,
} from './start/starts';
export { inRoundFigures, topForBrief } from './start/table-for-brief';
export * from './stock/board';
export { boardFeet } from './stock/board-foot';
export { boardShape, reachAcross } from './stock/board-shape';
export { lostToCrook } from './stock/crook';
export { defectMoved, defectSized } from './stock/move-defect';
export * from './stock/offcut-board';
export { boardFeetOf, boardPrice } from './stock/price';
export { daysUntilReady, READY_WITHIN, type WaitingBoard, type Waits, waitsUntilReady } from './stock/ready-to-mill';
export { type Lie, spoils, type Use } from './stock/spoils';
export {
  DRESSED_INCHES,
  planedThickness,
  quartersFor,
  SURFACED_INCHES,
  surfacedThickness,
} from './stock/thickness';
export { speciesIn } from './wood/blend';
export { cupHeight, cuppedSection, type SectionPoint } from './wood/cup';
export { type AirSeries, type DiffusionResult, diffuse, type FaceCoefficients } from './wood/diffusion';
export { type Diffusivity, diffusivityOf } from './wood/diffusivity';
export { BARE_FACE, FINISHES, type FinishKind, facesOf } from './wood/finish';
export { excludingEffectiveness, fitFinish } from './wood/fit-finish';
export { equilibriumMoisture } from './wood/moisture';
export {
  COEFFICIENT_RANGE,
  dimensionalChange,
  LENGTHWISE_COEFFICIENT,
  movementCoefficient,
  shrinkageAgrees,
  thicknessCoefficient,
} from './wood/movement';
export { differentialSwelling, MOVEMENT_SCHOOLS, type MovementSchool } from './wood/movement-school';
export {
  heartSides,
  type PanelShape,
  type PanelStrip,
  panelShape,
  RING_SCHOOLS,
  type RingSchool,
} from './wood/panel-shape';
export { correctPinReading } from './wood/pin-meter';
export { type RingCentre, type Rings, ringAngleAt, ringCentreFor } from './wood/rings';
export { type CalculatorInput, type CalculatorResult, seasonCalculator } from './wood/season-calculator';
export { simulateMoisture } from './wood/simulate-moisture';
export {
  ALL_SPECIES,
  density,
  findSpecies,
  type OwnSpecies,
  OwnSpeciesSchema,
  type Species,
  sheetWoods,
  solidWoods,
  speciesSource,
  speciesWith,
} from './wood/species';
