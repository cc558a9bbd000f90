import type { ExternalImageService } from 'astro';

/** Pictures of our pages are files of the build, served as they are: none is made to order, so no endpoint for that is needed. */
const plainImages: ExternalImageService = {
  validateOptions: (options) => options,
  getURL: ({ src }) => (typeof src === 'string' ? src : src.src),
  getHTMLAttributes: ({ src, alt, title }) => ({
    alt: String(alt ?? ''),
    ...(title === undefined ? {} : { title: String(title) }),
    ...(typeof src === 'string' ? {} : { width: src.width, height: src.height }),
    loading: 'lazy',
    decoding: 'async',
  }),
};

export default plainImages;
