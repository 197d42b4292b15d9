import {
  AddCategory,
  DeleteItem,
  DropPair,
  DropPhoto,
  EditCategory,
  EditMany,
  MergeItems,
  PutPair,
  PutSomewhere,
  SetOpenings,
  SetSwatches,
} from '#contract/collection'
import { AddItem, EditItem, OpenItem, RecordSign } from '#contract/item'
import { ok } from '../failing.js'
import { read, write, type Route } from '../http/routes.js'
import type { Care } from './care.js'
import type { CollectionCommands } from './commands.js'
import type { Deleting } from './deleting.js'
import type { Merging } from './merging.js'
import { CollectionPages } from './pages.js'
import type { Photos } from './photos.js'
import { photoRoutes } from './photo-routes.js'

export function collectionRoutes(
  services: {
    collection: CollectionCommands
    care: Care
    merging: Merging
    deleting: Deleting
    photos: Photos
  } & ConstructorParameters<typeof CollectionPages>[0] &
    Parameters<typeof photoRoutes>[0],
): Route[] {
  const { collection, care, merging, deleting, photos } = services
  const pages = new CollectionPages(services)
  return [
    read('/collection', () => ok(pages.all())),
    read('/categories', () => ok(pages.categories())),
    read('/items/:id', (id) => pages.item(id), 'few'),
    write('post', '/items', 'add-item', AddItem, (body) => collection.add(body)),
    write('put', '/items/:id', 'edit-item', EditItem, (body, id) => collection.edit(id, body)),
    write('post', '/items/:id/sign', 'record-sign', RecordSign, (body, id) =>
      collection.recordSign(id, body.day, body.words),
    ),
    write('post', '/items/:id/open', 'open-item', OpenItem, (body, id) => collection.open(id, body.day)),
    write('post', '/items/:id/pairs', 'put-pair', PutPair, (body, id) => care.putPair(id, body)),
    write('post', '/pairs/:id/drop', 'drop-pair', DropPair, (_, id) => care.dropPair(id)),
    write('post', '/items/:id/put', 'put-somewhere', PutSomewhere, (body, id) => care.putSomewhere(id, body)),
    write('post', '/edit-many', 'edit-many', EditMany, (body) => care.editMany(body)),
    write('post', '/openings', 'set-openings', SetOpenings, (body) => care.setOpenings(body)),
    write('post', '/swatches', 'set-swatches', SetSwatches, (body) => care.setSwatches(body)),
    write('post', '/items/:id/delete', 'delete-item', DeleteItem, (_, id) => deleting.delete(id)),
    write('post', '/merge', 'merge', MergeItems, (body) => merging.merge(body)),
    write('post', '/categories', 'add-category', AddCategory, (body) => care.addCategory(body)),
    write('put', '/categories/:id', 'edit-category', EditCategory, (body, id) => care.editCategory(id, body)),
    write('post', '/photos/:id/drop', 'drop-photo', DropPhoto, (_, id) => photos.drop(id)),
    ...photoRoutes(services),
  ]
}
