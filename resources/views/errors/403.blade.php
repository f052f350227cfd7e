<x-plain title="This is not yours to open" :text="App\View\Forbidden::because($exception)" />
