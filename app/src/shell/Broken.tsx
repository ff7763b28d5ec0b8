import { Component, type ReactNode } from 'react';
import { basePath } from '../state/boot';

/** The last resort: a page that failed says so, and that nothing kept is lost. */
export class Broken extends Component<{ readonly children: ReactNode }, { readonly message: string | null }> {
  override state = { message: null };

  static getDerivedStateFromError(error: unknown) {
    return { message: error instanceof Error ? error.message : String(error) };
  }

  override render() {
    if (this.state.message === null) return this.props.children;
    return (
      <div role="alert" className="max-w-2xl p-8 text-lg">
        <h1 className="text-2xl">This page has broken</h1>
        <p className="my-3">
          Nothing that was kept is lost. Load the page again; if it breaks again, go to the Log and export your tickets.
        </p>
        <p className="text-soft">{this.state.message}</p>
        <p className="mt-4 flex gap-4 underline">
          <a href={window.location.href}>Load again</a>
          <a href={`${basePath}/log`}>Log</a>
        </p>
      </div>
    );
  }
}
