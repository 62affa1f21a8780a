export type { Film, FilmFinish } from './artwork/film.ts';
export { FILM_FINISHES, filmGive, STARTING_FILMS, thicknessOf } from './artwork/film.ts';
export type { FontBook, FontFace, FontId } from './artwork/font.ts';
export { faceOf, FONT_CHOICES } from './artwork/font.ts';
export {
  drawingOfItems,
  itemsOfDrawing,
  keepDrawing,
  type DrawingSaid,
  type KeptDrawing,
} from './artwork/art-items.ts';
export type { Drawing, DrawingColour, DrawingProblem, DrawingResult } from './artwork/drawing.ts';
export { describeDrawingProblem, scaleDrawing, specksOf } from './artwork/drawing.ts';
export type { TraceWish } from './artwork/trace-wish.ts';
export { FIRST_TRACE } from './artwork/trace-wish.ts';
export { TINY_PIECE_MM } from './numeric/tolerances.ts';
export type { FilmMatch } from './artwork/film-match.ts';
export { itemParts } from './wrap/item-parts.ts';
export type { ItemPart, OutlineActs } from './artwork/acts.ts';
export { NO_ACTS } from './artwork/acts.ts';
export type { FittedName, NameList, NameRow, PastedName } from './artwork/name-list.ts';
export { fitName, MOST_NAMES, pairForBothHands } from './artwork/name-list.ts';
export { ringText } from './artwork/ring-text.ts';
export { keepTogether, letGo, matesOf, replaceItem, togetherWith } from './artwork/sets.ts';
export type {
  ArtItem,
  RingSetting,
  ArtworkItem,
  Facing,
  MotifItem,
  Placement,
  Provenance,
  RepeatRound,
  Running,
  TextItem,
} from './artwork/item.ts';
export type { MotifId } from './artwork/motifs/index.ts';
export { MOTIF_IDS, MOTIFS, motifViewBox } from './artwork/motifs/index.ts';
export type { BenchStep } from './bench/steps.ts';
export { benchSteps, holdTrueOver100, layingStyle, waitText } from './bench/steps.ts';
export type {
  BalloonPlan,
  Blank,
  BlankKind,
  FlatteningChoice,
  ReadingLogLine,
  ReadingName,
  Station,
  SurfaceKind,
} from './blank/blank.ts';
export { isGirth, isRound, layThickness, READINGS_ASKED, READINGS_WELCOME } from './blank/blank.ts';
export type { BalloonThen } from './blank/balloon.ts';
export { BALLOON_KEEPS_HOURS, balloonAtHandOver } from './blank/balloon.ts';
export type { BlankForm, BlankProblem, BlankSize, BlankSizeResult } from './blank/size.ts';
export { coneOfBlank, sizeBlank, STATIONS, takenOffGirth } from './blank/size.ts';
export type { ErrorReport } from './blank/error-report.ts';
export { reportErrors } from './blank/error-report.ts';
export type { BandSizes, FitCheck, FitResult, FitSeen } from './blank/fit-check.ts';
export { FIT_PAPER_MM, MOST_SEEN_MM, predictFit, SEEN_SIGMA_MM } from './blank/fit-check.ts';
export { rimLineOf, zonesOfBlank } from './blank/zones.ts';
export type { LengthUnit, ParsedLength } from './blank/length.ts';
export { formatLength, parseLength } from './blank/length.ts';
export type { ReadingDoubt } from './blank/plausibility.ts';
export { doubtReadings } from './blank/plausibility.ts';
export type { Reading, ReadingTake, ReadingTool } from './blank/reading.ts';
export { summariseReading, USUAL_THICKNESS_MM } from './blank/reading.ts';
export { logReadings } from './blank/reading-log.ts';
export {
  describeBlankProblem,
  describeDoubt,
  describeFit,
  describeFitProblem,
  describeLengthProblem,
  READING_IN_SENTENCE,
  READING_LABEL,
} from './blank/words.ts';
export type { JobFile } from './cut-files.ts';
export { isExtra, PLAIN_CUT, withExtras, type CutWish } from './cut/extras.ts';
export { CUT_WRITERS, cutFileNames, cutFiles, cutTime, loadsToSend } from './cut-files.ts';
export type { CutterLoad, CutterState, HeadNews, SentLoad } from './cut/cutter-state.ts';
export { describeRefusal, isInCutter } from './cut/cutter-state.ts';
export type { JobSheet } from './cut/job-sheet.ts';
export type { CutPiece } from './cut/order.ts';
export { cutStrip, pathLength } from './cut/order.ts';
export { newMotif, newText } from './artwork/new-item.ts';
export { maskPlate, maskRound, type MaskOpens } from './artwork/mask.ts';
export { applyCommand, moveItem, scaleItem } from './document/apply.ts';
export { AS_IT_FALLS, newBlank, newProject, newShelfBlank, newStation, USUAL_BALLOON } from './document/new-project.ts';
export type {
  Acceptance,
  Backup,
  KeptCopy,
  OwnSettings,
  RecordStore,
  Unreadable,
  OwnFont,
  OwnLimits,
  OwnMotif,
  Project,
  ShelfBlank,
} from './document/project.ts';
export { FORMAT_VERSION } from './document/project.ts';
export type { MivetDocument, ReadResult } from './document/read.ts';
export { checkDocument, describeReadProblem, readDocument } from './document/read.ts';
export {
  backupSchema,
  itemSchema,
  ownFontSchema,
  ownMotifSchema,
  projectSchema,
  shelfBlankSchema,
  KINDS,
  SURFACES,
} from './document/schema.ts';
export type { Examined, JudgedFinding } from './examine.ts';
export { examineProject, examineSteps, openFindings, type ExamineMemory } from './examine.ts';
export type { BlanksFromCsv } from './io/csv/blanks.ts';
export { FontProblem, readFont } from './io/font/read.ts';
export { fontSample } from './io/font/sample.ts';
export type { Paper } from './io/pdf/template.ts';
export type { Picture } from './photo/foreground.ts';
export type { PhotoReading, PhotoScale, PhotoStation } from './photo/photo-profile.ts';
export { readPhotoProfile, widestShare } from './photo/photo-profile.ts';
export type { PhotoAxis, Silhouette, SilhouetteOptions, SilhouetteResult } from './photo/silhouette.ts';
export { findSilhouette } from './photo/silhouette.ts';
export { describePhotoProblem } from './photo/words.ts';
export { pathData } from './io/svg/path-data.ts';
export { writeCutSvg } from './io/svg/write-cut.ts';
export { writeTemplateSvg } from './io/svg/write-template.ts';
export type { LogEntry, Outcome } from './log/entry.ts';
export type { Box } from './plane/box.ts';
export type { Path, Segment } from './plane/path.ts';
export type { Point } from './plane/point.ts';
export type { Polygon, Ring } from './polygon/polygon.ts';
export { NO_TRIAL, tryOut, type Trial, type TrialOutcome } from './proof/what-if.ts';
export { glanceHalfAngle } from './proof/glance.ts';
export type { LimitId, LimitInfo, Limits } from './proof/limits.ts';
export { LIMITS, limitsWith, USUAL_LIMITS } from './proof/limits.ts';
export type { Command, Finding, FindingCode, Place, Severity } from './proof/finding.ts';
export { signatureOf } from './proof/finding.ts';
export type { FindingWords } from './proof/words.ts';
export { describeCommand, describeFinding } from './proof/words.ts';
export type { Board } from './sheet/board.ts';
export type { CutterPace } from './sheet/board.ts';
export { boardById, BOARDS, USUAL_PACE } from './sheet/board.ts';
export { carryingTapes, tapeArea, tapeLength } from './sheet/tape.ts';
export type { BookingProblem, BookingResult, ShelfChange, ToBook } from './sheet/booking.ts';
export { bookPlan, describeBookingProblem, takeBack } from './sheet/booking.ts';
export type {
  Booking,
  CountedBlank,
  Offcut,
  StockCutter,
  StockFilm,
  StockTape,
  StockThing,
  Supply,
} from './sheet/stock.ts';
export { leftOf, NO_STOCK, pricePerMm2, runsLow, supplyOf, yearsSince } from './sheet/stock.ts';
export type { Leftover } from './sheet/leftover.ts';
export type { FilmTaken, Taking, Takings } from './sheet/take.ts';
export type { KeptFilm, PlanStep } from './sheet/load.ts';
export type { BatchTaken } from './batch-taken.ts';
export { blanksFor, takenFor } from './batch-taken.ts';
export type { Cost, CostRates } from './sheet/cost.ts';
export { costOf } from './sheet/cost.ts';
export { betterLoads } from './sheet/load.ts';
export type { HandClash } from './sheet/by-hand.ts';
export { clashOf, keptOf, letGoOfPart, putByHand } from './sheet/by-hand.ts';
export type { PartOnBoard } from './sheet/load.ts';
export type { StackReport, LayerReport } from './stack/report.ts';
export { marksCost } from './marks-cost.ts';
export type { SectionLayer, Deepest } from './stack/depth.ts';
export type { Stack } from './stack/stack.ts';
export { PLAIN_STACK } from './stack/stack.ts';
export { TACKS } from './document/stock-schema.ts';
export { stockDocument } from './document/new-project.ts';
export type { StockDocument } from './document/project.ts';
export { joinBoxes } from './plane/box.ts';
export { simplifyRing } from './plane/simplify.ts';
export type { CuttablePiece } from './cut/job-sheet.ts';
export { blocksOf, planJob } from './cut/job-sheet.ts';
export type { Load, LoadPlan, Strip } from './sheet/load.ts';
export type { ConeSpec } from './surface/cone.ts';
export { coneDevelopment, sectorNumbers, shortcutErrors, taperOf } from './surface/cone.ts';
export { widestPulled } from './surface/film-strain.ts';
export type { Development, SurfacePoint, SurfaceRegion } from './surface/development.ts';
export { eyeDistance } from './surface/foreshortening.ts';
export { eyeView, type EyeView } from './wrap/eye-view.ts';
export type { Make } from './wrap/batch.ts';
export type { Wrap } from './wrap/derive.ts';
export { deriveWrap, type Derived } from './wrap/derive.ts';
export { deriveFitPaper, solveFitPaper } from './wrap/fit-paper.ts';
export type { FilmGive } from './surface/film-strain.ts';
export { ballPatch } from './surface/ball-patch.ts';
export type { Profile, ProfileStation } from './surface/profile.ts';
export { profileOf } from './surface/profile.ts';
export type { Flattening, FlattenOption, FlattenWay } from './wrap/flattening.ts';
export { describeFlattening, describeWay, strainText } from './wrap/flatten-words.ts';
export { keptSide, patchLatitude } from './wrap/flattening.ts';
export type { FlatPanel } from './wrap/panels.ts';
export { backSeam, seamOnFlat } from './wrap/panel-frame.ts';
export { boxOfPanels, carriesPieces, makePanels } from './wrap/panels.ts';
export type { AtSeam, Job, Process, Seam } from './wrap/job.ts';
export { PLAIN_SEAM, USUAL_PROCESS, wrapFilm } from './wrap/job.ts';
export type { FoundSeam } from './wrap/seam-finder.ts';
export type { SeamCut } from './wrap/seam-cuts.ts';
export type { SeamPath } from './wrap/seam-path.ts';
export { seamAt } from './wrap/seam-path.ts';
export { shareOfGive } from './wrap/piece-give.ts';
export type { Piece } from './wrap/pieces.ts';
export type { Hand, PlacedItem } from './wrap/place.ts';
export { azimuthOfFacing } from './wrap/place.ts';
export { cutSize } from './wrap/cut-size.ts';
export { radiusOnSide, sideRadii, type SideRadii } from './wrap/side-radius.ts';
export { emptyBackup, nameOfRecord, readBackup, unreadableOf, type BackupResult } from './document/read-backup.ts';
export { sameValue } from './document/same-value.ts';
export { describeHeavy, describeLeftOut, heavyItems, lightened, type HeavyItem } from './weight.ts';
export { triedFixes, withTriedFixes, type JudgedBy } from './tried-fixes.ts';
export { sumTexts } from './blank/sum-words.ts';
export { keepable, type Keepable } from './document/keepable.ts';
export { describeKeepProblem } from './document/keepable-words.ts';
export { gapGrowth, gapsAt } from './artwork/letter-gaps.ts';
export type { SnapBox, SnapLine, SnapPart, Snapped, SnapSide } from './wrap/snap.ts';
export { snapLines, snapTo } from './wrap/snap.ts';
export type { SeamView, SeamViewPiece } from './wrap/seam-view.ts';
export { seamView } from './wrap/seam-view.ts';
export { TAPE_GIVE, tapeSheets, type TapeSheet } from './wrap/tape.ts';
export type { Template } from './wrap/template.ts';
export { makeTemplate } from './wrap/template.ts';
