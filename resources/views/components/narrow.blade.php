{{-- Which part of the work is looked at: those on a list, those in a buyer role. --}}
@props(['narrowed', 'small' => false])
<x-field hidden :$small label="On the list" name="list" :options="$narrowed->lists()"
    :value="$narrowed->list?->id" />
@if (count($narrowed->roles()) > 1)<x-field hidden :$small label="In the buyer role" name="role"
    :options="$narrowed->roles()" :value="$narrowed->role" />@endif
