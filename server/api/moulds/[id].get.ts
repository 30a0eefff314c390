export default mouldRoutes.get()
