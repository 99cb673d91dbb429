import { Refusal } from '../api/refusal'

/** The core could not be loaded: neither from this device nor from the server. */
export class CoreGone extends Refusal {
  constructor() {
    const sentence =
      'What computes here is not on this device yet, and the server cannot be reached. It comes as soon as the server is back.'
    super(sentence, 503, {}, { code: 'coreGone' })
  }
}
