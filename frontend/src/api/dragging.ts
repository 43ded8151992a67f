/**
 * A drag as a conversation over one socket: the first move is answered with the picture, each further one with what is
 * other in it. Where no socket can be had (some school networks refuse them) every move is a request of its own, with
 * the whole exercise.
 */
import { changed } from '@/sheet/change'

import { api, ask, ProblemError, UNREACHABLE } from './client'
import type { ExerciseDocument, Picture, PictureChange, Place, Problem } from './types'

export interface Drag {
  handle: string
  place: Place
  snap: boolean
  /** Numbers of the things that go with it. */
  others: number[]
}

interface Reply {
  picture?: Picture
  change?: PictureChange
  exercise?: ExerciseDocument
  problem?: Problem
}

const PATH = '/api/desk/dragging'
const OPEN_WITHIN_MS = 1500

export class Dragging {
  private socket: Promise<WebSocket | null> | null = null
  private exercise: ExerciseDocument = {}
  private isTold = false
  private picture: Picture | null = null
  private last: Promise<unknown> = Promise.resolve()

  /** A drag begins on this exercise. */
  begin(exercise: ExerciseDocument): void {
    this.exercise = exercise
    this.isTold = false
  }

  async move({ handle, place, snap, others }: Drag): Promise<Picture> {
    const drag = { op: 'drag' as const, handle, x: place[0], y: place[1], snap, others }
    const socket = await this.open()
    if (!socket) {
      const answer = await ask(api.POST('/api/desk/drag', { body: { exercise: this.exercise, drag } }))
      this.exercise = answer.exercise
      return answer.picture
    }
    const reply = await this.say(socket, this.isTold ? { drag } : { exercise: this.exercise, drag })
    this.isTold = true
    this.picture = reply.picture ?? changed(this.picture!, reply.change!)
    return this.picture
  }

  /** The exercise as the hand has left it. */
  async rest(): Promise<ExerciseDocument> {
    const socket = await this.open()
    if (!socket || !this.isTold) return this.exercise
    return (await this.say(socket, { rest: true })).exercise!
  }

  private open(): Promise<WebSocket | null> {
    this.socket ??= new Promise((done) => {
      if (typeof WebSocket === 'undefined') return done(null)
      const socket = new WebSocket(location.origin.replace(/^http/, 'ws') + PATH)
      const give = setTimeout(() => done(null), OPEN_WITHIN_MS)
      socket.onopen = () => {
        clearTimeout(give)
        done(socket)
      }
      socket.onerror = () => done(null)
    })
    return this.socket
  }

  /** One message after the other: a reply belongs to the one that was said last. */
  private say(socket: WebSocket, message: object): Promise<Reply> {
    const reply = this.last.then(() => this.sayNow(socket, message))
    this.last = reply.catch(() => undefined)
    return reply
  }

  private sayNow(socket: WebSocket, message: object): Promise<Reply> {
    return new Promise((done, fail) => {
      const lost = () => {
        this.socket = null
        this.isTold = false
        fail(new ProblemError(0, UNREACHABLE))
      }
      if (socket.readyState !== WebSocket.OPEN) return lost()
      socket.onclose = lost
      socket.onmessage = (event: MessageEvent<string>) => {
        const reply = JSON.parse(event.data) as Reply
        if (reply.problem) fail(new ProblemError(422, reply.problem))
        else done(reply)
      }
      socket.send(JSON.stringify(message))
    })
  }
}
