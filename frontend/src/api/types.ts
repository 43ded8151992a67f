/** Short names for the generated types. */
import type { components } from './schema'

type S = components['schemas']
export type Problem = S['Problem']
export type Picture = S['Picture']
export type Drawing = S['Drawing']
export type DrawnLine = S['DrawnLine']
export type Step = S['Step']
export type PointLetter = S['PointLetter']
export type Scale = S['Scale']
export type LevelLine = S['LevelLine']
export type Dimension = S['Dimension']
export type Beyond = S['Beyond']
export type Advice = S['Advice']
export type Sentence = S['Sentence']
export type SentencePiece = S['SentencePiece']
export type HandlePlace = S['HandlePlace']
export type HidesLine = S['HidesLine']
export type PartLine = S['PartLine']
export type OwnSheetLine = S['OwnSheetLine']
export type MeasureMark = S['MeasureMark']
export type TodayAnswer = S['TodayAnswer']
export type PileAnswer = S['PileAnswer']
export type PileLine = S['PileLine']
export type SheetAnswer = S['SheetAnswer']
export type ApartAnswer = S['ApartAnswer']
export type SheetLine = S['SheetLine']
export type JudgedLine = S['JudgedLine']
export type Finding = S['Finding']
export type ClassLine = S['ClassLine']
export type ListAnswer = S['ListAnswer']
export type ClassRecord = S['ClassRecord']
export type ShelfLine = S['ShelfLine']
export type ReadyLine = S['ReadyLine']
export type VersionLine = S['VersionLine']
export type TeacherLine = S['TeacherLine']
export type Who = S['Who']
export type Act = S['ActRequest']['act']
/** What is other in a picture after a move of the hand, as the socket says it; `painted`: all faces, the far ones first. */
export type PictureChange = Pick<
  Picture,
  'eye_level_mm' | 'vanishing_points' | 'aims' | 'strips' | 'lines' | 'faces' | 'handles' | 'measures'
> & { gone_lines: number[]; gone_handles: string[]; gone_measures: string[]; painted: number[] }
/** The exercise document: kept and sent back as it is; only the core knows what is in it. */
export type ExerciseDocument = { [key: string]: unknown }
export type Place = [number, number]
/** A part of the page: left, low, right, high. */
export type Box = [number, number, number, number]
