/** What is behind the door: everything that needs the store. */
import { Provider } from 'react-redux'
import { SignedIn } from './account/SignedIn.tsx'
import { store } from './store/index.ts'

export function Inside() {
  return (
    <Provider store={store}>
      <SignedIn />
    </Provider>
  )
}
