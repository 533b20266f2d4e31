import createClient from 'openapi-fetch'

import { busily } from './busy'
import type { components, paths } from './schema'

type Schemas = components['schemas']
export type { FieldPath, Leaf } from './paths'
export type Job = Schemas['Job']
export type Plan = Schemas['Plan']
export type PlanBody = Schemas['PlanBody']
export type Add = Schemas['Addable']
export type Edit = Schemas['Edit']
export type Problem = Schemas['Problem']
export type Shop = Schemas['Shop']
export type ShopBody = Schemas['ShopBody']
export type Shown = Schemas['Shown']
export type Sentence = Schemas['Sentence']
export type Reading = Schemas['Reading']
export type Note = Schemas['Note']
export type Input = Schemas['Input']
export type CuttingLine = Schemas['CuttingLine']
export type Instrument = Schemas['Instrument']
export type Sketch = Schemas['Sketch']
export type TicketLine = Schemas['TicketLine']
export type ListedJob = Schemas['ListedJob']
export type Sample = Schemas['SampleBody']
export type HowLine = Schemas['HowLine']
export type Saying = Schemas['Saying']
export type Face = Schemas['Face']
export type Net = Schemas['Net']
export type BenchPiece = Schemas['BenchPiece']
export type FoundBody = Schemas['FoundBody']
export type ToolBody = Schemas['ToolBody']
export type CutPlan = Schemas['CutPlan']
export type TemplatePlan = Schemas['TemplatePlan']
export type MatPlan = Schemas['MatPlan']
export type FormatBody = Schemas['FormatBody']
export type Worksheet = Schemas['WorksheetBody']
export type BenchStep = Schemas['BenchStep']
export type ChartPlan = Schemas['ChartPlan']
export type Mended = Schemas['Mended']
export type Drawing = Schemas['Drawing']
export type Shape = Schemas['Shape']
export type ScoreMark = Schemas['ScoreMark']
export type Callout = Schemas['Callout']
export type Dimension = Schemas['Dimension']
export type WayPlan = Schemas['WayPlan']
export type SheetPlan = Schemas['SheetPlan']
export type BasePlan = Schemas['BasePlan']
export type FitPlan = Schemas['FitPlan']
export type LayersPlan = Schemas['LayersPlan']
export type MailPlan = Schemas['MailPlan']
export type ClassPlan = Schemas['ClassPlan']
export type CheckPlan = Schemas['CheckPlan']
export type ItemsPlan = Schemas['ItemsPlan']
export type ComparisonPlan = Schemas['ComparisonPlan']
export type FoldStep = Schemas['FoldStep']
export type OutlinePlan = Schemas['OutlinePlan']
export type RoomPlan = Schemas['RoomPlan']
export type LayerRow = Schemas['LayerRow']
export type StockPlan = Schemas['StockPlan']
export type LayoutPlan = Schemas['LayoutPlan']
export type HaveRow = Schemas['HaveRow']
export type FoldSheet = Schemas['FoldSheet']
export type ReliefPlan = Schemas['ReliefPlan']
export type BeamPlan = Schemas['BeamPlan']
export type RulePage = Schemas['RulePage']
export type RulebookFile = Schemas['File']
export type RateCard = Schemas['RateCard']
export type Choice = Schemas['Choice']
export type BackupBody = Schemas['BackupBody']
export type BackupsBody = Schemas['BackupsBody']
export type InsideBody = Schemas['InsideBody']
export type InBackup = Schemas['InBackup']
export type DamageBody = Schemas['DamageBody']
export type Removed = Schemas['Removed']
export type StateBody = Schemas['StateBody']
export type StateOut = Schemas['StateOut']
export type Trouble = Schemas['ErrorModel']

const { GET, POST, PUT, PATCH } = createClient<paths>({ baseUrl: '/' })

/** The program, as its document says it: every request keeps the page busy until it is answered. */
export const api = { GET: busily(GET), POST: busily(POST), PUT: busily(PUT), PATCH: busily(PATCH) }

/** The sentence in a problem answer, or a plain one when there is none. */
export function sentenceOf(error: Pick<Trouble, 'detail'> | undefined): string {
  return error?.detail ?? 'The program gave an answer that makes no sense: reload the page.'
}

/** Whether the program carried a request out or refused it: it cannot while it is not there, or its disk fails. */
export const answered = (response: Response | undefined): response is Response =>
  response !== undefined && response.status !== 503 && response.status !== 507

/** Why a request was not carried out: empty where the program is not there. */
export const whyNot = (response: Response | undefined, error: Pick<Trouble, 'detail'> | undefined) =>
  response && !answered(response) ? sentenceOf(error) : ''

/** What a request that got no answer comes to. */
export function unreachable() {
  return {
    data: undefined,
    error: { detail: 'The program does not answer: is it still running?' },
    response: undefined,
  }
}

/** A browser carries a request past the end of its page only when it is small. */
const mostKept = 60_000

/** Whether a body is sent so that leaving the page does not cut it off. */
export const kept = (body: unknown) => JSON.stringify(body).length < mostKept
