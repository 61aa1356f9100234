import { Component, type ReactNode } from 'react'

/** One panel that breaks does not take the others with it. */
export class PanelBoundary extends Component<{ readonly name: string; readonly children: ReactNode }, { readonly failed: string | null }> {
  override state = { failed: null }

  static getDerivedStateFromError(error: unknown): { failed: string } {
    return { failed: error instanceof Error ? error.message : 'An unknown fault.' }
  }

  override render(): ReactNode {
    if (this.state.failed === null) return this.props.children
    return (
      <div className="empty" role="alert">
        <h2>{this.props.name} could not be shown</h2>
        <p className="quiet">{this.state.failed}</p>
        <button type="button" onClick={() => this.setState({ failed: null })}>
          Try again
        </button>
      </div>
    )
  }
}
