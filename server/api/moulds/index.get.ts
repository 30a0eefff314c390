export default mouldRoutes.list()
