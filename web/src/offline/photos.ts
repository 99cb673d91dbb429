import { sha256 } from '@noble/hashes/sha2.js'
import { bytesToHex } from '@noble/hashes/utils.js'
import { goneSince } from '../api/reach'
import { store } from './store'

/** The server keeps no larger picture. */
export const mostPhotoBytes = 400 * 1024
const sides = [1600, 1280, 1024, 800, 640]
const quality = 0.8

/**
 * Keeps a picture on this device until it is at the server: shrunk to what the server takes, named by the hash of its bytes. The hash goes into
 * an entry; the entry is valid before its picture arrives.
 *
 *     const hash = await keepPhoto(file)
 *     add({ kind: 'noted', text: 'Scuffed lobe', photo: hash })
 */
export async function keepPhoto(file: Blob): Promise<string> {
  const photo = file.size <= mostPhotoBytes && isPicture(file) ? file : await shrink(file)
  const hash = bytesToHex(sha256(new Uint8Array(await photo.arrayBuffer())))
  await (await store()).put('photos', { hash, photo })
  return hash
}

/** Sends what is not at the server yet; what cannot go waits for the next turn. */
export async function sendPhotos(): Promise<void> {
  if (goneSince.value !== null) return
  const open = await store()
  for (const kept of await open.getAll('photos')) {
    const response = await fetch(`/api/blobs/${kept.hash}`, {
      method: 'PUT',
      headers: { 'content-type': kept.photo.type },
      body: kept.photo,
    }).catch(() => null)
    if (response?.ok) await open.delete('photos', kept.hash)
  }
}

/** Where a picture can be shown from: this device while it waits here, else the server. */
export async function photoUrl(hash: string): Promise<string> {
  const kept = await (await store()).get('photos', hash)
  return kept ? URL.createObjectURL(kept.photo) : `/api/blobs/${hash}`
}

const isPicture = (file: Blob) => ['image/jpeg', 'image/png', 'image/webp'].includes(file.type)

async function shrink(file: Blob): Promise<Blob> {
  const picture = await createImageBitmap(file)
  const drawn = document.createElement('canvas')
  for (const side of sides) {
    const scale = Math.min(1, side / Math.max(picture.width, picture.height))
    drawn.width = Math.max(1, Math.round(picture.width * scale))
    drawn.height = Math.max(1, Math.round(picture.height * scale))
    drawn.getContext('2d')!.drawImage(picture, 0, 0, drawn.width, drawn.height)
    const blob = await new Promise<Blob | null>((resolve) => drawn.toBlob(resolve, 'image/jpeg', quality))
    if (blob && blob.size <= mostPhotoBytes) return blob
  }
  throw new Error('This picture cannot be made small enough; take it again from further away.')
}
