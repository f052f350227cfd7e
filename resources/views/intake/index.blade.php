<x-layout title="Intake" at="intake">
    <x-heading title="Intake"><x-button :href="route('candidates')">{{ $page->candidates() }}</x-button></x-heading>
    <div class="row g-4 mt-0">
        <div class="col-lg-8 vstack gap-4">
            <x-intake.upload :megabytes="$page->megabytes()" />
            <x-feeds.list :feeds="$page->feeds" />
            <x-section title="Files">
                @if ($page->intakes->isEmpty())
                    <x-empty>No file was brought yet. Begin with accounts; then contacts and signals find their account
                        by its domain.</x-empty>
                @else
                    <x-table :heads="['File', 'Brought', '#New', '#Changed', '#Same', '#Wait', '#Refused', 'State']"
                        :moves="false">
                        @foreach ($page->rows() as $row)
                            <tr><td><a class="fw-semibold text-body breaks"
                                href="{{ route('intake.show', $row['intake']) }}">{{ $row['intake']->name }}</a><br>
                                    <span class="small
                                        text-body-secondary">{{ $row['intake']->kind->value }}</span></td>
                                <td class="small">{{ $row['by'] }}<br><span class="text-body-secondary"><x-ago
                                    :time="$row['intake']->created_at" /></span></td>
                                @foreach ($row['counts'] as $count)<td class="text-end">{{ $count }}</td>@endforeach
                                <td class="small">{{ $row['state'] }}</td></tr>
                        @endforeach
                    </x-table>
                    <x-pager :pages="$page->intakes" />
                @endif
            </x-section>
        </div>
        <div class="col-lg-4">@include('intake.decide')</div>
    </div>
</x-layout>
