export { NO_ACTS } from './artwork/acts.ts';
export type { ItemPart } from './artwork/acts.ts';
export { drawingOfItems, type DrawingSaid, itemsOfDrawing, keepDrawing, placedBy } from './artwork/art-items.ts';
export { describeDrawingProblem, scaleDrawing, specksOf } from './artwork/drawing.ts';
export { ownMarks } from './artwork/own-marks.ts';
export type { Drawing, DrawingColour, DrawingProblem, DrawingResult } from './artwork/drawing.ts';
export type { FilmMatch } from './artwork/film-match.ts';
export { ownEntry } from './model/own-entry.ts';
export { faceOf, FONT_CHOICES } from './artwork/font.ts';
export type { FontBook, FontFace } from './artwork/font.ts';
export { gapGrowth, gapsAt } from './artwork/letter-gaps.ts';
export {
  bareRound,
  type BareArea,
  MASK_MARGIN_MM,
  type MaskOpens,
  maskPlate,
  type MaskReach,
  maskRound,
} from './artwork/mask.ts';
export { MOTIF_IDS, MOTIFS, motifViewBox } from './artwork/motifs/index.ts';
export {
  countAlike,
  eachApart,
  fitName,
  MOST_NAMES,
  pairForBothHands,
  plainRow,
  severalAlike,
} from './artwork/name-list.ts';
export type { FittedName, PastedName } from './artwork/name-list.ts';
export { newMotif, newText } from './artwork/new-item.ts';
export { ringText } from './artwork/ring-text.ts';
export {
  arrangedAs,
  leadOfScatter,
  NEW_SCATTER,
  rearranged,
  scatteredWith,
  withSpots,
} from './artwork/scatter-edits.ts';
export { keptSpots } from './layout/scatter-item.ts';
export type { PlacedSpot } from './layout/place.ts';
export { cutOutOf, keepTogether, letGo, matesOf, replaceItem, togetherWith, allTogether } from './artwork/sets.ts';
export { FIRST_TRACE } from './artwork/trace/options.ts';
export type { TraceOptions } from './artwork/trace/options.ts';
export type { BenchStep, StepCheck, StepKind } from './bench/step.ts';
export { habitsWith, SCHOOLS, USUAL_HABITS, type School } from './bench/schools.ts';
export { settingsOf, type Thing } from './bench/job-facts.ts';
export {
  answerCheck,
  changedSteps,
  endWait,
  isDone,
  isStepDone,
  makeAgain,
  mergeRuns,
  nextStop,
  pacesOf,
  parkThing,
  startCure,
  startWait,
  stopsOf,
  tickOf,
  tickStop,
  titleOnOne,
  untickStop,
  waitOf,
  type BenchStop,
  type ChangedStep,
} from './bench/run.ts';
export { leftText, waitsOf, type RunningWait } from './bench/waits.ts';
export { dwellsOf, forecastDwell, type DwellForecast } from './bench/dwell.ts';
export { wrapUpText } from './bench/wrap-up.ts';
export { shoppingList, type ToBuy } from './bench/shopping.ts';
export { writeShoppingCsv } from './io/csv/write-shopping.ts';
export { isResults, readResults, type BenchResults } from './document/results.ts';
export { stepPictures } from './present/step-pictures.ts';
export { letterOf, type StepPicture } from './present/step-picture.ts';
export { explainStep } from './bench/explain.ts';
export { isMetAt, mendsFor, type Mend, type MendChange } from './bench/mends.ts';
export { NEW_RUN, type BenchAnswer, type BenchNote, type BenchRun } from './model/bench-run.ts';
export type { Habits } from './model/habits.ts';
export {
  NOTHING_PLANNED,
  type DayHours,
  type HandOver,
  type HandOverFor,
  type Planning,
  type WorkHours,
} from './model/planning.ts';
export type {
  Accepted,
  EntryFault,
  EntryOutcome,
  EntryReport,
  EntryWork,
  FaultKind,
  LogbookEntry,
} from './model/entry.ts';
export { entryOfRun, type FinishedRun } from './log/entry-of-run.ts';
export { acceptedOf, dwellOf, dwellsOfBook, learnFrom, type Learnt } from './log/learn/learn.ts';
export { type LastTime, lastTime, moreToBegin } from './log/last-time.ts';
export { materialsWith } from './log/learn/apply.ts';
export { FAULT_KINDS, OUTCOMES } from './document/entry-schema.ts';
export { BEFORE_FILM } from './document/blank-schema.ts';
export { USUAL_HOURS, windowsBetween, type Span } from './schedule/hours.ts';
export { CHOOSE, type LateChoice } from './schedule/choices.ts';
export { planProjects, type LateProject, type PlannedTask, type ProjectsPlan } from './schedule/plan-projects.ts';
export { missingFor, openProject, type Shelves } from './present/open-project.ts';
export { dueOf, tasksOf, type OpenProject } from './schedule/tasks.ts';
export { dayList, type DayList } from './schedule/today.ts';
export type { BenchPhoto, OwnHabits } from './model/project.ts';
export { onlyThing } from './document/only-thing.ts';
export { holdTrueOver100, layingStyle } from './bench/laying-style.ts';
export { benchSteps, waitText } from './bench/steps.ts';
export { cutTime } from './cut/cut-time.ts';
export { isInCutter } from './cut/cutter-state.ts';
export { describeRefusal } from './present/refusal-words.ts';
export type { CutterLoad, CutterState, HeadNews, SentLoad } from './cut/cutter-state.ts';
export { type CutOptions, isExtra, PLAIN_CUT, withExtras } from './cut/extras.ts';
export { columnsFor, drawingsInUse, itemsForRow, swapInRow, withoutColumn } from './artwork/row-swaps.ts';
export { cutFileNames } from './cut/file-names.ts';
export { cutStrip } from './cut/order.ts';
export type { CutPiece } from './cut/order.ts';
export { USUAL_PACE } from './cut/pace.ts';
export { SURFACES } from './document/blank-schema.ts';
export { filmInStock, filmsOffered, filmsUnasked, filmsUsed, takeFilms, withUsedFilms } from './document/films.ts';
export { filmForMask } from './document/mask-film.ts';
export { applyCommand, moveItem, scaleItem } from './document/commands/apply.ts';
export {
  alignTogether,
  factorTogether,
  scaleTogether,
  spreadTogether,
  type AlignTo,
  type LaidItem,
} from './document/commands/together.ts';
export { itemSchema } from './document/item-schema.ts';
export { describeKeepProblem } from './document/keepable-words.ts';
export { keepable, type Keepable } from './document/keepable.ts';
export {
  AS_IT_FALLS,
  newBlank,
  newProject,
  newShelfBlank,
  newStation,
  stockDocument,
  USUAL_BALLOON,
} from './document/new-project.ts';
export { ownFontSchema, ownMotifSchema } from './document/own-schema.ts';
export { type BackupResult, emptyBackup, nameOfRecord, readBackup, unreadableOf } from './document/read-backup.ts';
export { checkDocument, describeReadProblem, readDocument } from './document/read.ts';
export type { MivetDocument, ReadResult } from './document/read.ts';
export { sameValue } from './document/same-value.ts';
export { backupSchema, projectSchema, shelfBlankSchema } from './document/schema.ts';
export { TACKS } from './document/stock-schema.ts';
export { describeHeavy, describeLeftOut, type HeavyItem, heavyItems, lightened } from './document/weight.ts';
export { describeFlattening, describeWay, strainText } from './flat/flatten-words.ts';
export { makeTemplate } from './flat/template.ts';
export type { Template } from './flat/template.ts';
export { wrapFilm } from './flat/wrap-film.ts';
export type { BlanksFromCsv } from './io/csv/blanks.ts';
export { CUT_WRITERS, filmFiles, loadFiles, loadsToSend } from './io/files/cut-files.ts';
export type { CutWriter, JobFile } from './io/files/cut-files.ts';
export type { Paper } from './io/pdf/template.ts';
export { pathData } from './io/svg/path-data.ts';
export { writeCutSvg } from './io/svg/write-cut.ts';
export { writeTemplateSvg } from './io/svg/write-template.ts';
export { filmOfLayer, layerName } from './layers/layer.ts';
export { PLAIN_STACK } from './layers/order.ts';
export { cutSize } from './layout/cut-size.ts';
export { itemParts } from './layout/item-parts.ts';
export { azimuthOfFacing } from './layout/place.ts';
export type { PlacedItem } from './layout/place.ts';
export { snapLines, snapTo } from './layout/snap.ts';
export { boxAround, freeWindow, roomAround, type Gap, type RoomSide } from './layout/room.ts';
export type { SnapBox, SnapLine, SnapOther, SnapPart, Snapped, SnapSide } from './layout/snap.ts';
export type { Allocation } from './load/allocation.ts';
export { batchUsage, blanksFor } from './load/batch-usage.ts';
export type { BatchUsage } from './load/batch-usage.ts';
export { blocksOf } from './load/blocks.ts';
export { isByItself } from './artwork/by-itself.ts';
export { isMask } from './artwork/mask.ts';
export { boardById, BOARDS } from './load/boards.ts';
export { boardWords } from './measure/board-words.ts';
export { bookPlan, describeBookingProblem, takeBack } from './load/booking.ts';
export type { BookingProblem, BookingResult, ShelfChange, ToBook } from './load/booking.ts';
export { collisionOf, keptOf, letGoOfPart, putByHand } from './load/by-hand.ts';
export type { HandCollision } from './load/by-hand.ts';
export { costOf } from './load/cost.ts';
export type { Cost, CostRates } from './load/cost.ts';
export { planJob } from './load/job-sheet.ts';
export type { JobSheet } from './load/job-sheet.ts';
export type { Leftover } from './load/leftover.ts';
export { betterLoads } from './load/load.ts';
export type { Load, LoadPlan, PlanStep, Strip } from './load/load.ts';
export { marksCost } from './load/marks-cost.ts';
export { slugsOf } from './pieces/slug.ts';
export type { GuidedProject, GuideShare, GuideStep } from './bench/together.ts';
export { guideTogether } from './bench/together.ts';
export type { CutProject, TogetherPart, TogetherPlan, TogetherShare } from './load/together.ts';
export { planTogether, sharesOf } from './load/together.ts';
export { leftOf, NO_STOCK, pricePerMm2, runsLow, supplyOf, yearsSince } from './load/supply.ts';
export { carryingTapes, tapeArea, tapeLength } from './load/tape-usage.ts';
export type { FilmUsage, FilmUse } from './load/usage.ts';
export { FILM_FINISHES, STARTING_FILMS, thicknessOf } from './material/film.ts';
export { filmGive, type FilmGiveOf, STARTING_MATERIALS } from './material/materials.ts';
export type { Materials } from './material/materials.ts';
export { USUAL_PROCESS } from './material/process.ts';
export { BALLOON_KEEPS_HOURS, balloonAtHandOver } from './measure/balloon.ts';
export type { BalloonThen } from './measure/balloon.ts';
export type { ReadingDoubt } from './measure/doubts.ts';
export type { ErrorReport } from './measure/error-report.ts';
export { FIT_PAPER_MM, MOST_SEEN_MM, predictFit, SEEN_SIGMA_MM } from './measure/fit-check.ts';
export type { FitResult } from './measure/fit-check.ts';
export type { KindOfBlank } from './measure/kinds/kind.ts';
export { latitudeAtArc, meridianArc } from './surface/spheroid.ts';
export { BOX_FACES, faceOfBox, facesFollow, otherFace } from './measure/kinds/box.ts';
export { isRound, KINDS, KINDS_OF_BLANK, solidOf } from './measure/kinds/kinds.ts';
export { STATIONS } from './measure/kinds/profile.ts';
export {
  formatArea,
  formatFar,
  formatLength,
  formatRange,
  formatShort,
  formatSize,
  formatThickness,
  MM_PER_FOOT,
  formatTyped,
  parseLength,
  trueOver,
  type Units,
} from './measure/length.ts';
export type { LengthUnit, ParsedLength } from './measure/length.ts';
export { doubtReadings, reportErrors, sizeBlank } from './measure/measured.ts';
export type { PhotoAxis } from './measure/photo/axis.ts';
export type { SilhouetteOptions } from './measure/photo/options.ts';
export { readPhotoProfile, widestShare } from './measure/photo/photo-profile.ts';
export type { PhotoReading, PhotoScale, PhotoStation } from './measure/photo/photo-profile.ts';
export { findSilhouette } from './measure/photo/silhouette.ts';
export type { Silhouette, SilhouetteResult } from './measure/photo/silhouette.ts';
export { describePhotoProblem } from './measure/photo/words.ts';
export { logReadings } from './measure/reading-log.ts';
export { layThickness, summariseReading, USUAL_THICKNESS_MM } from './measure/reading.ts';
export { isGirth } from './measure/readings-asked.ts';
export type { BlankProblem, BlankSize, BlankSizeResult } from './measure/size.ts';
export { takenOffGirth } from './measure/sizing.ts';
export { sumTexts } from './measure/sum-words.ts';
export { NO_TRIAL, type Trial, type TrialOutcome, tryOut } from './measure/what-if.ts';
export {
  describeBlankProblem,
  describeDoubt,
  describeFit,
  describeFitProblem,
  describeLengthProblem,
  READING_IN_SENTENCE,
  READING_LABEL,
} from './measure/words.ts';
export { rimLineOf, zonesOfBlank } from './measure/zones.ts';
export type {
  BalloonPlan,
  Blank,
  BlankKind,
  BoxFace,
  FlatteningChoice,
  ReadingLogLine,
  ReadingName,
  Station,
  SurfaceKind,
} from './model/blank.ts';
export type { BlankSection } from './model/blank.ts';
export type { Board, CutterPace } from './model/board.ts';
export type { Command } from './model/command.ts';
export { type KeptDrawing } from './model/drawing.ts';
export type { Film, FilmFinish } from './model/film.ts';
export type { BandSizes, FitCheck, FitSeen } from './model/fit-check.ts';
export type {
  ArtItem,
  ArtworkItem,
  Facing,
  FontId,
  MotifId,
  MotifItem,
  OutlineActs,
  Placement,
  Provenance,
  RepeatRound,
  RingSetting,
  SetLetter,
  Running,
  Scatter,
  ScatterEdge,
  KeptSpot,
  TextItem,
  TextSize,
} from './model/item.ts';
export type { Hand, Job, Process } from './model/job.ts';
export type { KeptFilm, PartOnBoard } from './model/laid.ts';
export type { LogEntry, Outcome } from './model/log-entry.ts';
export type { NameList, NameRow, RowColumn, RowDrawing, RowPicture, RowSwap } from './model/names.ts';
export { FORMAT_VERSION } from './model/format.ts';
export type {
  Acceptance,
  Backup,
  KeptBox,
  KeptCopy,
  OwnFont,
  OwnLimits,
  OwnMotif,
  OwnSettings,
  Practised,
  Project,
  RecordStore,
  ShelfBlank,
  StockDocument,
  Unreadable,
} from './model/project.ts';
export type { Reading, ReadingTake, ReadingTool } from './model/reading.ts';
export type { AtSeam, Seam } from './model/seam.ts';
export type { Stack } from './model/stack.ts';
export type {
  BookedShare,
  Booking,
  CountedBlank,
  Offcut,
  StockCutter,
  StockFilm,
  StockTape,
  StockThing,
  Supply,
} from './model/stock.ts';
export { nearFront, wholeTurns } from './numeric/angle.ts';
export { TINY_PIECE_MM } from './numeric/tolerances.ts';
export type { Make } from './pieces/batch.ts';
export type { CuttablePiece } from './pieces/cuttable.ts';
export { deriveFitPaper, fitCheckFrom, solveFitPaper } from './pieces/fit-paper.ts';
export { shareOfGive } from './pieces/give.ts';
export type { Piece } from './pieces/pieces.ts';
export { type TapeSheet, tapeSheets } from './pieces/tape-sheets.ts';
export { type Derived, deriveWrap } from './pieces/wrap.ts';
export type { Wrap } from './pieces/wrap.ts';
export { examineProject, examineStages, STAGE_NAMES, triedFixes, withTriedFixes } from './pipeline.ts';
export type { Examined, JudgedBy, StageMemo, StageName, StageNews } from './pipeline.ts';
export { boxOfCoordinates, boxOfRings, joinBoxes } from './plane/box.ts';
export type { Box } from './plane/box.ts';
export { pathLength } from './plane/path-length.ts';
export type { Path, Segment } from './plane/path.ts';
export type { Point } from './plane/point.ts';
export { simplifyRing } from './plane/simplify.ts';
export type { Polygon, Ring } from './polygon/polygon.ts';
export { eyeView, type EyeView } from './present/eye-view.ts';
export { placeData, zonePaths } from './present/flat-regions.ts';
export { azimuthOnSection, cornerOf, girthsOf, spotOnSection } from './surface/section.ts';
export { frontOf } from './present/front.ts';
export type { Front } from './present/front.ts';
export { judgedShape } from './present/judged-view-model.ts';
export { colourWord } from './present/colour-word.ts';
export { partTitle } from './cut/part-labels.ts';
export { filmEdge } from './present/film-edge.ts';
export { partsViewModel } from './present/parts-view-model.ts';
export { placingCard, type PlacedOnCard, type PlacingCard } from './present/placing-card.ts';
export { ringsData } from './present/rings-data.ts';
export { seamView } from './present/seam-view.ts';
export type { SeamView, SeamViewPiece } from './present/seam-view.ts';
export { seenViewModel } from './present/seen-view-model.ts';
export { SEAM_HALF_WIDTH_MM, shapeViewModel } from './present/shape-view-model.ts';
export { stripViewModels } from './present/strip-view-models.ts';
export type {
  GoodViewModel,
  ItemViewModel,
  JudgedViewModel,
  JudgedShape,
  NameViewModel,
  PanelViewModel,
  PartsViewModel,
  PieceViewModel,
  ProjectViewModel,
  SeamViewModel,
  SeenViewModel,
  ShapeViewModel,
  SolidViewModel,
  StripPart,
  StripViewModel,
} from './present/views.ts';
export { signatureOf } from './proof/finding.ts';
export type { Finding, FindingCode, Place, Severity } from './proof/finding.ts';
export { glanceHalfAngle, glanceHalfAngleOn } from './proof/findings/glance.ts';
export { describeCommand } from './proof/fix-words.ts';
export { openFindings } from './proof/judged.ts';
export type { JudgedFinding } from './proof/judged.ts';
export { LIMITS, limitsWith, USUAL_LIMITS } from './proof/limits.ts';
export type { LimitId, LimitInfo, Limits } from './proof/limits.ts';
export { describeFinding } from './proof/words.ts';
export type { FindingWords } from './proof/words.ts';
export type { Raster } from './raster/foreground.ts';
export type { SeamCut } from './seam/cuts.ts';
export type { FoundSeam } from './seam/measure-seam.ts';
export { backSeam, seamOnFlat } from './seam/panel-frame.ts';
export { boxOfPanels, carriesPieces } from './seam/panels/panel.ts';
export type { FlatPanel } from './seam/panels/panel.ts';
export { makePanels } from './seam/panels/panels.ts';
export { seamAt } from './seam/path.ts';
export type { SeamPath } from './seam/path.ts';
export { PLAIN_SEAM } from './seam/plain-seam.ts';
export { rowAt, slantAtHeight } from './solid/drawn.ts';
export type { DrawnSolid, SolidRow } from './solid/drawn.ts';
export type { Flattening, FlattenOption, FlattenWay } from './solid/flattening.ts';
export type { Face, Solid } from './solid/solid.ts';
export type { Asked, TapePlace } from './solid/tape-place.ts';
export type { Deepest, SectionLayer } from './stack/depth.ts';
export type { LayerReport, StackReport } from './stack/report.ts';
export { ballPatch } from './surface/ball-patch.ts';
export type { ConeSpec } from './surface/cone.ts';
export type { Development, SurfacePoint, SurfaceRegion } from './surface/development.ts';
export { widestPulled } from './surface/film-strain.ts';
export type { FilmGive } from './surface/film-strain.ts';
export { eyeDistance } from './surface/foreshortening.ts';
export { profileOf } from './surface/profile.ts';
export type { Profile, ProfileStation } from './surface/profile.ts';
export { radiusOnSide, sideRadii, type SideRadii } from './surface/side-radius.ts';
export { bestSeam, type Dot, judgeFindSeam, makeFindSeam, type SeamTask } from './practice/find-seam.ts';
export { type CloseTask, judgeCloseSeam, makeCloseSeam, makesACup, paperShows } from './practice/close-seam.ts';
export { type ExerciseId, EXERCISES, GOES_KEPT, type Judged, WENT_WELL } from './practice/judged.ts';
export { type LaidFrom, layAskew, type LayTask, judgeLayWrap, makeLayWrap, MOST_ASKEW, stepAtSeam } from './practice/lay-wrap.ts'; // prettier-ignore
export { judgePressFilm, makePressFilm, MOST_TURN, type Pressing, type PressTask, takeUp } from './practice/press-film.ts'; // prettier-ignore
export { judgeReadTape, makeReadTape, MOST_ASKEW_TAPE, MOST_TURNED, tapeShows } from './practice/read-tape.ts'; // prettier-ignore
export { judgeSlitBall, makeSlitBall, MOST_SLITS, type SlitTask } from './practice/slit-ball.ts';
export { type FailingTask, judgeSpotFailing, makeSpotFailing } from './practice/spot-failing.ts';
export { type HeightIs, type HeightTask, judgeWhichHeight, makeWhichHeight, sideFrom, takenWrongly } from './practice/which-height.ts'; // prettier-ignore
export { coneDevelopment, sectorNumbers, taperOf } from './surface/cone.ts';
export { straightSeam } from './seam/path.ts';
export { lookCloser, withCare } from './film/advise.ts';
export { type OwnWay, type Stroke, warmedBy } from './film/by-hand.ts';
export { givesOf, laidOnOf, lookKey, lookOf, type WorthALook, worthALook } from './film/of-piece.ts';
export { type OfMake, worthALookOf } from './film/of-makes.ts';
export { tapedWith } from './film/of-tape.ts';
export { slitsOnFlat } from './pieces/item-slits.ts';
export { withSlits } from './pieces/even-slits.ts';
export { layWays, type WayLaid } from './film/of-ways.ts';
export { SheetProblem } from './film/sheet.ts';
export { type LayFrame, layingShown, type ShownLaying, type SideOutline } from './film/show.ts';
export { WAVE_MM } from './film/tents.ts';
export type { SlitIn } from './model/item.ts';
export type { EvenSlits, Looked, LookedOrder, LookedTent, WayToLay } from './model/looked.ts';
export { WAYS_SAID } from './proof/findings/wrinkle.ts';
export { backupDue } from './document/backup-due.ts';
export {
  BACKUP_KINDS,
  chosenOf,
  compareBackup,
  mayBeBoth,
  recordKey,
  takeOf,
  WHOLE_BACKUP,
  type BackupKind,
  type KeptRecords,
  type RecordStanding,
  type RestoreChoice,
  type Take,
} from './io/backup/restore.ts';
