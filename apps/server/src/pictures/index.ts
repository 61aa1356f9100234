/** Pictures that one draws over. */
export { pictureRoutes } from './routes.ts'
