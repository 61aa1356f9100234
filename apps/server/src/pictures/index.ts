/** Pictures that one draws over; and how any picture is made anew before it is kept. */
export { madeAnew } from './made-anew.ts'
export { pictureRoutes } from './routes.ts'
