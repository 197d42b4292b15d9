import { answerOnce } from '../other-process.js'
import { readCollectionFile } from './read-collection.js'

answerOnce(({ file, work }: { file: string; work: string }) => readCollectionFile(file, work))
