import { lazyPart } from '../../ui/part';

/** An answer reads the same without it. */
export const LazyAnswerPicture = lazyPart('The pictures of the answers', () =>
  import('./AnswerPicture').then((m) => m.AnswerPicture),
);

/** Comes beside the words of a look, which do not wait for it. */
export const LazyLookPicture = lazyPart('The picture of where to look', () =>
  import('./LookPicture').then((m) => m.LookPicture),
);
